<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Banking\BankState;
use Almanac\LookAlikes\PairState;
use Almanac\Money\Percent;
use Almanac\Records\SectionName;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Records\Section;
use App\Actions\Records\SectionOf;
use App\Models\AddressUse;
use App\Models\BankDetail;
use App\Models\ContactPoint;
use App\Models\EngagementParty;
use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\User;
use App\Register\AtMerge;
use App\Register\Hold;
use Illuminate\Support\Facades\DB;

/**
 * Puts together, row by row, what several records have of the same: sections as they are planned, and what stands between
 * them and others. Afterwards nothing names the others any more. Runs inside a transaction.
 */
final readonly class PutTogether
{
    /** What is named where more than the number has to be put right; the rest of what settles only gets another number. */
    private const BY_HAND = [
        'engagement_parties', 'meeting_parties', 'bank_details', 'party_list_items', 'client_terms', 'vendor_terms',
        'look_alike_pairs', 'record_uses', 'detail_values',
    ];

    public function __construct(private KeepBankDetails $bank)
    {
    }

    public function handle(MergePlan $plan, User $by): void
    {
        $kept = $plan->kept;
        $gone = $plan->goneIds();
        $this->bankDetails($plan);
        $this->pairs($gone, $kept->id);
        $this->alone('record_uses', 'user_id', $gone, $kept->id, ['at', 'used_on']);
        $this->alone('meeting_parties', 'meeting_id', $gone, $kept->id);
        $this->roles($gone, $kept->id);
        $this->linksOfOthers($plan);
        foreach (CarryOver::of(AtMerge::Settles) as $reference) {
            if (! in_array($reference->table, self::BY_HAND, true)) {
                DB::table($reference->table)->whereIn($reference->column, $gone)->update([$reference->column => $kept->id]);
            }
        }
        if ($kept->isArchived() && $plan->sides->contains(fn (Party $party) => ! $party->isArchived())) {
            // With one that is in use, it is in use.
            $kept->update(['archived_on' => null, 'archive_reason' => '']);
        }
        $payee = $kept->payee_name;
        foreach ($plan->sections as $section) {
            if ($section->section !== null) {
                $this->write($section->section, $kept, $this->stateOf($section, $plan));
            }
        }
        $this->letGo($gone);
        if ($kept->is_vendor && $kept->payee_name !== $payee) {
            $this->bank->holdPayee($kept, $kept->payee(), $by);
        }
    }

    /** @param  array<string, mixed>  $state */
    private function write(Section $section, Party $kept, array $state): void
    {
        $of = SectionOf::party($section, $kept);
        $of->reload();
        if ($of->state() !== $state) {
            $of->reload();
            $of->write(['isRestored' => true] + $state);
        }
    }

    /**
     * With the addresses that stay, where it names one that does not.
     *
     * @return array<string, mixed>
     */
    private function stateOf(PlannedSection $section, MergePlan $plan): array
    {
        $state = $section->state;
        if ($section->name === SectionName::Reach) {
            $uses = $plan->section(SectionName::Addresses)->doubles;
            /** @var list<array<string, mixed>> $points */
            $points = $state['contactPoints'];
            $state['contactPoints'] = array_map(fn (array $point) => [
                ...$point,
                'addressUseId' => is_int($point['addressUseId']) ? $uses[$point['addressUseId']] ?? $point['addressUseId'] : null,
            ], $points);
        }

        return $state;
    }

    /** Whoever has a phone, an address or a site by link from one that goes has it from the one that says the same. */
    private function linksOfOthers(MergePlan $plan): void
    {
        foreach ($plan->section(SectionName::Reach)->doubles as $goes => $stays) {
            ContactPoint::query()->where('same_as_id', $goes)->whereKeyNot($stays)->toBase()->update(['same_as_id' => $stays]);
        }
        foreach ($plan->section(SectionName::Addresses)->doubles as $goes => $stays) {
            $from = AddressUse::query()->findOrFail($goes)->address_id;
            $to = AddressUse::query()->findOrFail($stays)->address_id;
            if ($from !== $to) {
                AddressUse::query()->where('address_id', $from)->whereKeyNot($goes)->toBase()->update(['address_id' => $to]);
                DB::table('engagements')->where('site_id', $from)->update(['site_id' => $to]);
            }
        }
    }

    private function bankDetails(MergePlan $plan): void
    {
        foreach ($plan->section(SectionName::Bank)->values as $value) {
            $kind = substr($value->part, strlen('bank/'));
            BankDetail::query()->whereIn('party_id', $plan->sides->modelKeys())->where('party_id', '!=', $value->chosen->partyId)
                ->where('kind', $kind)->where('state', BankState::Confirmed)->toBase()->update(['state' => BankState::Replaced->value]);
        }
        BankDetail::query()->whereIn('party_id', $plan->goneIds())->toBase()->update(['party_id' => $plan->kept->id]);
    }

    /**
     * What was decided of them and somebody else is remembered; what was not is compared again.
     *
     * @param list<int> $gone
     */
    private function pairs(array $gone, int $keptId): void
    {
        LookAlikePair::query()->ofAny($gone)->where('state', '!=', PairState::Different)->delete();
        foreach (LookAlikePair::query()->ofAny($gone)->orderBy('id')->get() as $pair) {
            $other = in_array($pair->first_id, $gone, true) ? $pair->second_id : $pair->first_id;
            $isTheirs = in_array($other, [...$gone, $keptId], true);
            $ends = ['first_id' => min($other, $keptId), 'second_id' => max($other, $keptId)];
            $known = $isTheirs ? null : LookAlikePair::query()->where($ends)->first();
            if ($isTheirs || $known?->state === PairState::Different) {
                $pair->delete();

                continue;
            }
            $known?->delete();
            LookAlikePair::query()->whereKey($pair->id)->toBase()->update($ends);
        }
    }

    /**
     * Rows of which there is one for each of something else: one stays, with the later of what it says.
     *
     * @param list<int> $gone
     * @param list<string> $latest columns of which the later stays
     */
    private function alone(string $table, string $by, array $gone, int $keptId, array $latest = []): void
    {
        foreach (DB::table($table)->whereIn('party_id', $gone)->orderBy($by)->get() as $row) {
            $key = [$by => $row->$by, 'party_id' => $row->party_id];
            $kept = DB::table($table)->where([$by => $row->$by, 'party_id' => $keptId]);
            $there = $kept->first();
            if ($there === null) {
                DB::table($table)->where($key)->update(['party_id' => $keptId]);

                continue;
            }
            $later = array_filter(
                (array) $row,
                fn (mixed $value, string $column) => in_array($column, $latest, true) && $value > $there->$column,
                ARRAY_FILTER_USE_BOTH,
            );
            if ($later !== []) {
                $kept->update($later);
            }
            DB::table($table)->where($key)->delete();
        }
    }

    /**
     * Nobody is twice in one role at one time: the shares of what they pay are added.
     *
     * @param list<int> $gone
     */
    private function roles(array $gone, int $keptId): void
    {
        foreach (['party_id', 'via_id', 'contact_id'] as $column) {
            DB::table('engagement_parties')->whereIn($column, $gone)->update([$column => $keptId]);
        }
        DB::table('engagement_parties')->where('party_id', $keptId)->where('via_id', $keptId)->update(['via_id' => null]);
        DB::table('engagement_parties')->where('party_id', $keptId)->where('contact_id', $keptId)->update(['contact_id' => null]);
        $rows = EngagementParty::query()->where('party_id', $keptId)->orderBy('rank')->orderBy('id')->get();
        foreach ($rows as $at => $row) {
            $same = $rows->take($at)->first(fn (EngagementParty $one) => $one->exists && $one->engagement_id === $row->engagement_id
                && $one->role_id === $row->role_id && $one->period()->overlaps($row->period()));
            if ($same instanceof EngagementParty) {
                $share = match (true) {
                    $row->share === null => $same->share,
                    $same->share === null => $row->share,
                    default => (string) Percent::of($same->share)->plus(Percent::of($row->share)),
                };
                $same->update(['share' => $share, 'is_mailed' => $same->is_mailed || $row->is_mailed]);
                $row->delete();
            }
        }
    }

    /**
     * What is left of the others goes, and they with it; their log and their past states stay under their numbers.
     *
     * @param list<int> $gone
     */
    private function letGo(array $gone): void
    {
        foreach ([...CarryOver::of(AtMerge::Settles), ...CarryOver::of(AtMerge::Drops)] as $reference) {
            if ($reference->hold !== Hold::Binding) {
                DB::table($reference->table)->whereIn($reference->column, $gone)->delete();
            }
        }
        DB::table('parties')->whereIn('id', $gone)->delete();
    }
}
