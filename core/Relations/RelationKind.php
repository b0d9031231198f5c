<?php

declare(strict_types=1);

namespace Almanac\Relations;

use Almanac\Records\PartyKind;

/** What one party is to another, and what that other is to it. */
enum RelationKind: string
{
    case Spouse = 'spouse';
    case Parent = 'parent';
    case Child = 'child';
    case Guardian = 'guardian';
    case Ward = 'ward';
    case Executor = 'executor';
    case Testator = 'testator';
    case NextOfKin = 'next of kin';
    case NextOfKinOf = 'next of kin of';
    case Assistant = 'assistant';
    case Assists = 'assists';
    case ReferredBy = 'referred by';
    case Referred = 'referred';
    case ParentCompany = 'parent company';
    case Subsidiary = 'subsidiary';
    case HeadOffice = 'head office';
    case Branch = 'branch';
    case CoClient = 'co-client';

    /** The same relation, told from the other end. */
    public function inverse(): self
    {
        return match ($this) {
            self::Spouse, self::CoClient => $this,
            self::Parent => self::Child,
            self::Child => self::Parent,
            self::Guardian => self::Ward,
            self::Ward => self::Guardian,
            self::Executor => self::Testator,
            self::Testator => self::Executor,
            self::NextOfKin => self::NextOfKinOf,
            self::NextOfKinOf => self::NextOfKin,
            self::Assistant => self::Assists,
            self::Assists => self::Assistant,
            self::ReferredBy => self::Referred,
            self::Referred => self::ReferredBy,
            self::ParentCompany => self::Subsidiary,
            self::Subsidiary => self::ParentCompany,
            self::HeadOffice => self::Branch,
            self::Branch => self::HeadOffice,
        };
    }

    /** Whether a party of the first kind may have this relation to one of the second. */
    public function fits(PartyKind $from, PartyKind $to): bool
    {
        return match ($this) {
            self::Spouse, self::Parent, self::Child, self::Assistant, self::Assists,
            self::NextOfKin, self::NextOfKinOf => $from === PartyKind::Person && $to === PartyKind::Person,
            // A bank or a firm may be guardian or executor.
            self::Guardian, self::Executor => $from === PartyKind::Person,
            self::Ward, self::Testator => $to === PartyKind::Person,
            self::ParentCompany, self::Subsidiary, self::HeadOffice, self::Branch => $from === PartyKind::Company &&
                $to === PartyKind::Company,
            self::ReferredBy, self::Referred, self::CoClient => true,
        };
    }

    /**
     * Who is written to in place of somebody who has died: the executor, else the next of kin, else the spouse.
     *
     * @return int|null the nearest first; null for who does not stand in
     */
    public function standsInAs(): ?int
    {
        return match ($this) {
            self::Executor => 0,
            self::NextOfKin => 1,
            self::Spouse => 2,
            default => null,
        };
    }

    /**
     * The kinds that a party of one kind can have at all.
     *
     * @return list<self>
     */
    public static function of(PartyKind $from): array
    {
        return array_values(array_filter(
            self::cases(),
            fn (self $kind) => $kind->fits($from, PartyKind::Person) || $kind->fits($from, PartyKind::Company),
        ));
    }
}
