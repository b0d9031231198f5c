<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * What the comparison of one thing of two records shows. Of what is compared, at most one sign is given; what one of
 * them lacks gives none.
 */
enum Sign: string
{
    case GivenSame = 'given-same';
    case GivenShort = 'given-short';
    case GivenAlike = 'given-alike';
    case GivenMiddle = 'given-middle';
    case GivenInitial = 'given-initial';
    case GivenDiffers = 'given-differs';

    case FamilySame = 'family-same';
    case FamilyAlike = 'family-alike';
    case FamilyFormer = 'family-former';
    case FamilyPart = 'family-part';
    case FamilyDiffers = 'family-differs';

    case MiddleSame = 'middle-same';
    case MiddleDiffers = 'middle-differs';

    case SuffixSame = 'suffix-same';
    case SuffixOfOne = 'suffix-of-one';
    case SuffixDiffers = 'suffix-differs';

    case BornSame = 'born-same';
    case BornSlip = 'born-slip';
    case BornDiffers = 'born-differs';

    case NameSame = 'name-same';
    case NameAlike = 'name-alike';
    case NameInitials = 'name-initials';
    case NameShorter = 'name-shorter';
    case NamePart = 'name-part';
    case NameDiffers = 'name-differs';

    case BranchOfOne = 'branch-of-one';
    case BranchDiffers = 'branch-differs';

    case PhoneSame = 'phone-same';
    case PhoneDiffers = 'phone-differs';

    case EmailSame = 'email-same';
    case EmailElsewhere = 'email-elsewhere';
    case EmailDiffers = 'email-differs';

    case PlaceSame = 'place-same';
    case PlaceOtherUnit = 'place-other-unit';
    case PlaceTown = 'place-town';
    case PlaceDiffers = 'place-differs';

    case WebsiteSame = 'website-same';
    case WebsiteDiffers = 'website-differs';

    case TaxSame = 'tax-same';
    case TaxDiffers = 'tax-differs';

    case NumberSame = 'number-same';
    case NumberDiffers = 'number-differs';

    case EmployerSame = 'employer-same';
    case EmployerDiffers = 'employer-differs';

    /** What was compared: signs of one thing exclude each other. */
    public function thing(): string
    {
        return explode('-', $this->value)[0];
    }

    /** Whether it may only be told to somebody who sees private values. */
    public function isPrivate(): bool
    {
        return in_array($this->thing(), ['born', 'tax'], true);
    }

    public function words(): string
    {
        return match ($this) {
            self::GivenSame => 'same given name',
            self::GivenShort => 'a short form of the given name',
            self::GivenAlike => 'given names much alike',
            self::GivenMiddle => 'called by the middle name',
            self::GivenInitial => 'same initial',
            self::GivenDiffers => 'other given name',
            self::FamilySame => 'same family name',
            self::FamilyAlike => 'family names much alike',
            self::FamilyFormer => 'a former name',
            self::FamilyPart => 'part of the family name',
            self::FamilyDiffers => 'other family name',
            self::MiddleSame => 'same middle name',
            self::MiddleDiffers => 'other middle name',
            self::SuffixSame => 'same suffix',
            self::SuffixOfOne => 'only one has a suffix',
            self::SuffixDiffers => 'other suffix',
            self::BornSame => 'same birth date',
            self::BornSlip => 'birth dates but for a slip',
            self::BornDiffers => 'other birth date',
            self::NameSame => 'same name',
            self::NameAlike => 'names much alike',
            self::NameInitials => 'initials of the name',
            self::NameShorter => 'a shorter form of the name',
            self::NamePart => 'part of the name',
            self::NameDiffers => 'other name',
            self::BranchOfOne => 'only one is a branch',
            self::BranchDiffers => 'other branch',
            self::PhoneSame => 'same phone',
            self::PhoneDiffers => 'other phone',
            self::EmailSame => 'same email',
            self::EmailElsewhere => 'same email but for where it is',
            self::EmailDiffers => 'other email',
            self::PlaceSame => 'same address',
            self::PlaceOtherUnit => 'same house, other unit',
            self::PlaceTown => 'other street of the same town',
            self::PlaceDiffers => 'other place',
            self::WebsiteSame => 'same website',
            self::WebsiteDiffers => 'other website',
            self::TaxSame => 'same tax number',
            self::TaxDiffers => 'other tax number',
            self::NumberSame => 'same number elsewhere',
            self::NumberDiffers => 'other number elsewhere',
            self::EmployerSame => 'same company',
            self::EmployerDiffers => 'other company',
        };
    }
}
