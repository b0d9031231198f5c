<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Access\SetUpOffice;
use Illuminate\Support\Facades\DB;

/** An office with very many records, made the same way each time, straight into the tables. */
final class BigOffice
{
    private const GIVEN = ['Ada', 'Silas', 'Maud', 'Edith', 'Walter', 'Nadia', 'Isolde', 'Regula', 'Henry', 'Augusta', 'Misaki', 'Tobias', 'Cordelia', 'Jonas', 'Petra', 'Ines'];

    private const WORDS = ['Lantern', 'Harbor', 'Meridian', 'Furnace', 'Hollow', 'Copper', 'Quill', 'Orchard', 'Granite', 'Willow', 'Beacon', 'Thistle', 'Anchor', 'Saddle', 'Juniper', 'Cinder', 'Larkspur', 'Cobble'];

    private const TRADES = ['Foundry', 'Timber', 'Gilding', 'Freight', 'Optics', 'Bells', 'Leather', 'Glass', 'Survey', 'Insurance'];

    private const DOCUMENTS_EACH = 5;

    private const CHUNK = 1000;

    public function __construct(private readonly SetUpOffice $setUp)
    {
    }

    public function fill(int $records, string $today): void
    {
        mt_srand(17);
        $this->setUp->handle('Bench', 'US', 'Bench', 'bench@almanac.example', 'bench-password');
        $day = new \DateTimeImmutable($today);
        for ($from = 1; $from <= $records; $from += self::CHUNK) {
            DB::transaction(fn () => $this->chunk($from, min($records, $from + self::CHUNK - 1), $day));
        }
        DB::statement("INSERT INTO search_words (rowid, name, also, number, works_at, email, phone, place) SELECT p.id, lower(p.display_name), '', p.number, '', coalesce((SELECT group_concat(value, ' ') FROM contact_points WHERE party_id = p.id AND kind = 'email'), ''), coalesce((SELECT group_concat(value, ' ') FROM contact_points WHERE party_id = p.id AND kind = 'phone'), ''), 'brattleboro vt' FROM parties p");
        DB::statement("INSERT INTO search_letters (rowid, name, figures) SELECT p.id, lower(p.display_name), coalesce((SELECT group_concat(substr(value, 2), ' ') FROM contact_points WHERE party_id = p.id AND kind = 'phone'), '') FROM parties p");
        DB::statement("INSERT INTO standings SELECT party_id, CASE kind WHEN 'bill' THEN 'vendor' ELSE 'client' END, 'USD', sum(open_minor), 0, 0, sum(CASE WHEN next_due < '$today' THEN open_minor ELSE 0 END), min(next_due), '31.5', NULL FROM documents GROUP BY 1, 2");
        DB::statement("INSERT INTO balances SELECT party_id, sum(CASE side WHEN 'client' THEN open_minor ELSE 0 END), sum(CASE side WHEN 'vendor' THEN open_minor ELSE 0 END), sum(CASE side WHEN 'client' THEN overdue_minor ELSE 0 END), party_id % 90 + 0.5, 0 FROM standings GROUP BY 1");
        DB::statement('ANALYZE');
    }

    private function chunk(int $from, int $to, \DateTimeImmutable $day): void
    {
        $parties = $points = $addresses = $uses = $documents = $lines = $keys = $gaps = [];
        for ($id = $from; $id <= $to; $id++) {
            $isPerson = $id % 3 === 0;
            $word = self::WORDS[mt_rand(0, 17)].' '.self::WORDS[mt_rand(0, 17)];
            $given = self::GIVEN[mt_rand(0, 15)];
            $name = $isPerson ? "$given ".self::WORDS[mt_rand(0, 17)].base_convert((string) $id, 10, 36) : "$word ".self::TRADES[mt_rand(0, 9)].' '.$id;
            $parties[] = [
                'id' => $id, 'kind' => $isPerson ? 'person' : 'company', 'number' => 1000 + $id, 'given' => $isPerson ? $given : '', 'family' => $isPerson ? substr($name, strlen($given) + 1) : '', 'company_name' => $isPerson ? '' : $name,
                'display_name' => $name, 'file_as' => $name, 'sort_key' => strtolower($name), 'is_client' => $id % 2, 'is_vendor' => ($id + 1) % 2,
            ];
            $phone = '+1802'.sprintf('%07d', $id);
            foreach ([['phone', $phone], ['email', "office$id@bench.example"], ['website', "https://bench$id.example"]] as $rank => [$kind, $value]) {
                $points[] = ['party_id' => $id, 'kind' => $kind, 'typed' => $value, 'value' => $value, 'uses' => '[]', 'is_primary' => 1, 'is_unusual' => 0, 'rank' => $rank];
            }
            $addresses[] = ['id' => $id, 'owner_id' => $id, 'country' => 'US', 'lines' => "$id Furnace Road", 'locality' => 'Brattleboro', 'region' => 'VT', 'postcode' => '05301'];
            $uses[] = ['party_id' => $id, 'address_id' => $id, 'uses' => '["postal"]', 'is_primary' => 1, 'rank' => 0];
            $keys[] = ['party_id' => $id, 'key' => "phone:$phone"];
            $keys[] = ['party_id' => $id, 'key' => 'name:'.strtolower($name)];
            $gaps[] = ['party_id' => $id, 'gaps' => $id % 4];
            for ($n = 0; $n < self::DOCUMENTS_EACH; $n++) {
                $document = ($id - 1) * self::DOCUMENTS_EACH + $n + 1;
                $date = $day->modify('-'.mt_rand(1, 700).' days');
                $due = $date->modify('+30 days')->format('Y-m-d');
                $total = mt_rand(1000, 900000);
                $isOpen = $document % 12 === 0;
                $documents[] = [
                    'id' => $document, 'party_id' => $id, 'kind' => $id % 2 === 1 ? 'invoice' : 'bill', 'state' => $isOpen ? 'issued' : 'settled', 'number' => "N$document", 'date' => $date->format('Y-m-d'), 'due' => $due, 'next_due' => $isOpen ? $due : null,
                    'terms' => 'net 30', 'treatment' => 'exclusive', 'currency' => 'USD', 'net_minor' => $total, 'tax_minor' => 0, 'total_minor' => $total, 'open_minor' => $isOpen ? $total : 0, 'settled_on' => $isOpen ? null : $due,
                    'copy' => '{"name":"x","payee":"","address":[],"taxNumber":""}', 'user_id' => 1,
                ];
                $lines[] = ['document_id' => $document, 'rank' => 0, 'text' => 'Work', 'quantity' => '1', 'price' => (string) ($total / 100), 'discount' => '0', 'tax' => '0', 'cost_centre_ids' => '[]', 'amount_minor' => $total];
            }
        }
        foreach (['parties' => $parties, 'contact_points' => $points, 'addresses' => $addresses, 'address_uses' => $uses, 'documents' => $documents, 'document_lines' => $lines, 'look_alike_keys' => $keys, 'record_gaps' => $gaps] as $table => $rows) {
            foreach (array_chunk($rows, 500) as $part) {
                DB::table($table)->insert($part);
            }
        }
    }
}
