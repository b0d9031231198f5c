<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Records\OfficeList;
use App\Models\ListItem;
use App\Models\Party;
use App\Register\ListUses;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Every list of the office: an entry is counted where it is used, and renamed there. */
final class ListUsesTest extends TestCase
{
    /** @return iterable<string, array{OfficeList}> */
    public static function lists(): iterable
    {
        foreach (OfficeList::cases() as $list) {
            yield $list->value => [$list];
        }
    }

    #[DataProvider('lists')]
    public function test_an_entry_is_counted_and_renamed_where_it_is_used(OfficeList $list): void
    {
        $this->asAdministrator()->postJson("/api/lists/{$list->value}", ['name' => 'something', 'inverse' => ''])->assertCreated();
        $item = ListItem::in($list)->where('name', 'something')->firstOrFail();
        $this->assertSame(0, $this->uses($item));
        $this->useIt($list, $this->addCompany('Brass'), $this->addPerson('Silas', 'Wren'));
        $this->assertSame(1, $this->uses($item), 'counted');

        $this->putJson("/api/list-items/{$item->id}", ['name' => 'something else', 'inverse' => '', 'isRetired' => true])->assertOk();
        $this->assertSame(1, $this->uses($item->refresh()), 'counted by its new name');
        // What the log says of the past stays as it was.
        $record = array_diff_key((array) $this->getJson('/api/parties/1')->json(), ['lastChange' => true]);
        $shown = (string) json_encode($record);
        $this->assertStringContainsString('something else', $shown);
        $this->assertStringNotContainsString('"something"', $shown);
        $offered = array_column((array) $this->getJson('/api/choices')->json('lists'), 'names', 'list');
        $this->assertNotContains('something else', $offered[$list->value]);
    }

    public function test_every_list_is_used_somewhere(): void
    {
        foreach (OfficeList::cases() as $list) {
            $this->assertNotSame([], [...ListUses::references($list), ...ListUses::words($list)], $list->value);
        }
    }

    private function uses(ListItem $item): int
    {
        $lists = (array) $this->getJson('/api/lists')->json();
        foreach ($lists as $list) {
            foreach ($list['items'] as $one) {
                if ($one['id'] === $item->id) {
                    return $one['uses'];
                }
            }
        }

        return -1;
    }

    private function useIt(OfficeList $list, Party $company, Party $person): void
    {
        $classification = [
            'types' => [],
            'tags' => [],
            'ownerId' => null,
            'accountManagerId' => null,
            'buyerId' => null,
            'source' => '',
            'language' => '',
            'grade' => null,
            'codes' => [],
        ];
        $identity = $this->getJson("/api/parties/{$company->id}")->json('identity');
        $reach = fn (string $kind, string $value) => $this->saveSection($company, 'reach', [
            'contactPoints' => [$this->contact($kind, $value, ['label' => 'something'])],
        ]);
        $response = match ($list) {
            OfficeList::Types => $this->saveSection($company, 'classification', ['types' => ['something']] + $classification),
            OfficeList::Tags => $this->saveSection($company, 'classification', ['tags' => ['something']] + $classification),
            OfficeList::Sources => $this->saveSection($company, 'classification', ['source' => 'something'] + $classification),
            OfficeList::CodeSystems => $this->saveSection(
                $company,
                'classification',
                ['codes' => [['id' => null, 'system' => 'something', 'value' => '1']]] + $classification,
            ),
            OfficeList::Duties => $this->saveSection($company, 'positions', [
                'positions' => [$this->position($person, ['duties' => ['something']])],
            ]),
            OfficeList::RelationKinds => $this->saveSection($company, 'relations', [
                'relations' => [
                    [
                        'id' => null,
                        'partyId' => $person->id,
                        'kind' => 'something',
                        'together' => 'alone',
                        'since' => '',
                        'until' => '',
                    ],
                ],
            ]),
            OfficeList::Industries => $this->saveSection($company, 'identity', ['industry' => 'something'] + $identity),
            OfficeList::LegalForms => $this->saveSection($company, 'identity', ['legalForm' => 'something'] + $identity),
            OfficeList::PhoneLabels => $reach('phone', '802-555-0142'),
            OfficeList::EmailLabels => $reach('email', 'a@b.example'),
            OfficeList::WebsiteLabels => $reach('website', 'b.example'),
            OfficeList::HandleLabels => $reach('handle', '@brass'),
        };
        $response->assertOk();
        $this->assertGreaterThan(
            0,
            DB::table('changes')->where('subject_id', $company->id)->whereRaw("lower(label || ' ' || \"to\") like '%something%'")->count(),
            'and logged',
        );
    }
}
