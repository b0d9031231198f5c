<?php

declare(strict_types=1);

namespace Almanac\Records;

/** The parts of a record, and of a case or a project, as the change log tells them apart. */
enum SectionName: string
{
    case Identity = 'identity';
    case Reach = 'reach';
    case Addresses = 'addresses';
    case Positions = 'positions';
    case Relations = 'relations';
    case ClientTerms = 'client-terms';
    case VendorTerms = 'vendor-terms';
    case Classification = 'classification';
    case Details = 'details';
    case TaxNumbers = 'tax-numbers';
    case Bank = 'bank';
    case Documents = 'documents';
    case Files = 'files';
    case Reminders = 'reminders';
    case Cautions = 'cautions';
    case Log = 'log';
    case Engagement = 'engagement';
    case Stage = 'stage';
    case Parties = 'parties';
    case Site = 'site';
    case Links = 'links';
    case Conflicts = 'conflicts';
    case Meetings = 'meetings';

    /** As it is headed on the page. */
    public function title(): string
    {
        return match ($this) {
            self::Identity => 'Name and roles',
            self::Reach => 'Reach',
            self::Addresses => 'Addresses',
            self::Positions => 'Positions',
            self::Relations => 'Relations',
            self::ClientTerms => 'When we bill them',
            self::VendorTerms => 'When we pay them',
            self::Classification => 'Classification',
            self::Details => 'Details',
            self::TaxNumbers => 'Tax numbers',
            self::Bank => 'Bank and cards',
            self::Documents => 'Documents',
            self::Files => 'Files',
            self::Reminders => 'Reminders',
            self::Cautions => 'Cautions',
            self::Log => 'Log',
            self::Engagement => 'Title and terms',
            self::Stage => 'Stage',
            self::Parties => 'Parties',
            self::Site => 'Site',
            self::Links => 'Linked',
            self::Conflicts => 'Conflicts',
            self::Meetings => 'Meetings',
        };
    }
}
