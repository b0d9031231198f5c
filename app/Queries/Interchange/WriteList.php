<?php

declare(strict_types=1);

namespace App\Queries\Interchange;

use Almanac\Interchange\ListFormat;
use Almanac\Interchange\TableWriter;
use Almanac\Lists\ListOf;
use App\Facts\Interchange\PartyCard;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Models\Party;
use App\Models\User;
use App\Queries\Finding\ReadLines;
use App\Queries\Lists\ReadCells;
use App\Queries\Lists\ReadLook;
use App\Time\Clock;
use Illuminate\Support\Collection;

/** Writes the records of a list to a file, some at a time, so that a long list takes no more memory than a short one. */
final readonly class WriteList
{
    private const CHUNK = 500;

    public function __construct(private Clock $clock, private ReadLines $lines)
    {
    }

    /** @return \Generator<int, string> the file, piece by piece */
    public function handle(Wanted $wanted, ListFormat $format, User $reader): \Generator
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $ids = $list->inOrder()->pluck('v.party_id');

        return $format->isTable()
            ? TableWriter::write($format, $this->rows($list->columns(array_keys(ReadLook::of(ListOf::Records, $reader))), $ids))
            : $this->cards($ids, $format);
    }

    /** @return \Generator<int, string> */
    public function card(Party $party, ListFormat $format): \Generator
    {
        return $this->cards(collect([$party->id]), $format);
    }

    /**
     * @param list<ListedField<Party>> $columns
     * @param Collection<int, mixed> $ids
     *
     * @return \Generator<int, list<string>>
     */
    private function rows(array $columns, Collection $ids): \Generator
    {
        yield array_map(fn (ListedField $one) => $one->field->title, $columns);
        foreach ($ids->chunk(self::CHUNK) as $some) {
            // One of its own for each: what it remembers goes with it.
            $cells = new ReadCells($this->clock);
            foreach ($cells->handle($columns, $this->lines->handle(array_map(intval(...), array_values($some->all())))) as $row) {
                yield $row;
            }
        }
    }

    /**
     * @param Collection<int, mixed> $ids
     *
     * @return \Generator<int, string>
     */
    private function cards(Collection $ids, ListFormat $format): \Generator
    {
        $today = $this->clock->today();
        $isJson = $format === ListFormat::JCard;
        yield $isJson ? '[' : '';
        $written = 0;
        foreach ($ids->chunk(self::CHUNK) as $some) {
            $parties = Party::query()->with(PartyCard::RELATIONS)->findMany($some->all())->keyBy('id');
            foreach ($some as $id) {
                $party = $parties->get($id);
                if ($party !== null) {
                    $card = PartyCard::of($party, $today);
                    yield match ($format) {
                        ListFormat::VCard3 => $card->toVCard3(),
                        ListFormat::JCard => ($written++ === 0 ? '' : ',').json_encode(
                            $card->toJCard(),
                            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                        ),
                        default => $card->toVCard4(),
                    };
                }
            }
        }
        yield $isJson ? ']' : '';
    }
}
