<?php

declare(strict_types=1);

namespace App\Register;

use Almanac\Reach\ContactKind;
use Almanac\Records\OfficeList;

/** Where the entries of the office's lists are used. */
final class ListUses
{
    /** @return list<array{string, string}> tables that refer to an entry, and by which column */
    public static function references(OfficeList $list): array
    {
        return match ($list) {
            OfficeList::Types => [['party_list_items', 'list_item_id'], ['detail_sheets', 'type_id']],
            OfficeList::Tags => [['party_list_items', 'list_item_id']],
            OfficeList::Duties => [['position_duties', 'list_item_id']],
            OfficeList::RelationKinds => [['relations', 'list_item_id']],
            default => [],
        };
    }

    /** @return list<array{string, string, array<string, string>}> tables that keep the word itself, in which column, and of which rows */
    public static function words(OfficeList $list): array
    {
        return match ($list) {
            OfficeList::Sources => [['parties', 'source', []]],
            OfficeList::Industries => [['parties', 'industry', []]],
            OfficeList::LegalForms => [['parties', 'legal_form', []]],
            OfficeList::PhoneLabels => [['contact_points', 'label', ['kind' => ContactKind::Phone->value]]],
            OfficeList::EmailLabels => [['contact_points', 'label', ['kind' => ContactKind::Email->value]]],
            OfficeList::WebsiteLabels => [['contact_points', 'label', ['kind' => ContactKind::Website->value]]],
            OfficeList::HandleLabels => [['contact_points', 'label', ['kind' => ContactKind::Handle->value]]],
            OfficeList::CodeSystems => [['party_codes', 'system', []]],
            default => [],
        };
    }
}
