<?php

declare(strict_types=1);

namespace Almanac\Records;

/**
 * The lists of words that an office keeps for itself. Of some the records keep the entry, and
 * follow when it is renamed; of others they keep the word, since any other may be typed as well.
 */
enum OfficeList: string
{
    case Types = 'types';
    case Tags = 'tags';
    case Duties = 'duties';
    case RelationKinds = 'relation-kinds';
    case Sources = 'sources';
    case Industries = 'industries';
    case LegalForms = 'legal-forms';
    case PhoneLabels = 'phone-labels';
    case EmailLabels = 'email-labels';
    case WebsiteLabels = 'website-labels';
    case HandleLabels = 'handle-labels';
    case CodeSystems = 'code-systems';

    public function title(): string
    {
        return match ($this) {
            self::Types => 'Types of people and companies',
            self::Tags => 'Tags',
            self::Duties => 'Duties at a company',
            self::RelationKinds => 'Relations of our own',
            self::Sources => 'Where they came from',
            self::Industries => 'Industries',
            self::LegalForms => 'Legal forms',
            self::PhoneLabels => 'Labels of phones',
            self::EmailLabels => 'Labels of emails',
            self::WebsiteLabels => 'Labels of websites',
            self::HandleLabels => 'Labels of handles',
            self::CodeSystems => 'Numbers and links from elsewhere',
        };
    }

    /** Whether an entry is told differently from its other end, as a landlord's is a tenant. */
    public function hasInverse(): bool
    {
        return $this === self::RelationKinds;
    }
}
