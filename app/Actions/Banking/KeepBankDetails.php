<?php

declare(strict_types=1);

namespace App\Actions\Banking;

use Almanac\Access\Permission;
use Almanac\Banking\AccountKind;
use Almanac\Banking\AccountUse;
use Almanac\Banking\BankAccount;
use Almanac\Banking\BankingRefused;
use Almanac\Banking\BankState;
use Almanac\Banking\CardNumber;
use Almanac\Banking\Confirmation;
use Almanac\Names\NamePart;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\LogChanges;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Party;
use App\Models\User;
use App\Outside\CardVault;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Keeps bank details, and cards by their tokens. New details are on hold until somebody other than
 * who entered them has confirmed them, saying how; none is ever changed, so their history stays whole.
 */
final readonly class KeepBankDetails
{
    public function __construct(private LogChanges $log, private IndexParties $index, private Clock $clock, private CardVault $vault)
    {
    }

    /**
     * @param array{
     *     kind: string, iban: string, bic: string, routing: string, sortCode: string, account: string, use: string,
     *     holder: string, bankName: string,
     * } $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function add(Party $party, array $input, User $by): void
    {
        DB::transaction(function () use ($party, $input, $by): void {
            $party->refresh()->assertInUse();
            $problems = new FieldProblems;
            $holder = (string) $problems->at('holder', fn () => NamePart::tidy($input['holder']));
            $bank = (string) $problems->at('bankName', fn () => NamePart::tidy($input['bankName']));
            $kind = AccountKind::from($input['kind']);
            $account = $problems->at(match ($kind) {
                AccountKind::Iban => 'iban',
                default => 'account',
            }, fn () => match ($kind) {
                AccountKind::Iban => BankAccount::iban($input['iban'], $input['bic']),
                AccountKind::UsAccount => BankAccount::us($input['routing'], $input['account'], AccountUse::from($input['use'])),
                AccountKind::UkAccount => BankAccount::uk($input['sortCode'], $input['account']),
            });
            $problems->throwIfAny();
            $detail = new BankDetail(['holder' => $holder, 'bank_name' => $bank]);
            $account === null ?: $detail->setAccount($account);
            $same = $party
                ->bankDetails()
                ->where('fingerprint', $detail->fingerprint)
                ->whereIn('state', [BankState::Confirmed, ...BankDetail::WAITING])
                ->first();
            if ($same !== null) {
                throw ValidationException::withMessages([
                    $kind === AccountKind::Iban ? 'iban' : 'account' => 'That account is on the record already.',
                ]);
            }
            $this->hold($party, $detail, $by);
        });
    }

    /** A new payee name of a vendor is on hold like a new account. */
    public function holdPayee(Party $party, string $payee, User $by): void
    {
        $this->hold(
            $party,
            new BankDetail([
                'kind' => BankDetail::PAYEE,
                'holder' => $payee,
                'value' => '',
                'masked' => $payee,
                'fingerprint' => hash('sha256', $payee),
            ]),
            $by,
        );
    }

    /**
     * A second person agrees: to new details, or to the end of those in force. Each once.
     *
     * @throws BankingRefused when nothing waits any more, or who began it agrees to it
     * @throws AuthorizationException when somebody confirms who may not
     */
    public function confirm(BankDetail $detail, Confirmation $how, User $by): void
    {
        DB::transaction(function () use ($detail, $how, $by): void {
            $this->mustBeApprover($by);
            $detail->refresh();
            match ($detail->state) {
                BankState::OnHold => $this->putInForce($detail, $how, $by),
                BankState::Ending => $this->agreeToEnd($detail, $how, $by),
                default => throw BankingRefused::notOnHold(),
            };
        });
    }

    /**
     * Refuses what waits for a second person; whoever began it may also take it back. What is in force
     * is not ended by that alone: a second person has to agree, and nothing is paid to it meanwhile.
     *
     * @throws BankingRefused when it is neither in force nor waiting
     * @throws AuthorizationException when somebody else's is refused by one who may not
     */
    public function refuse(BankDetail $detail, string $reason, User $by): void
    {
        DB::transaction(function () use ($detail, $reason, $by): void {
            $detail->refresh();
            $began = $detail->state === BankState::Ending ? $detail->end_user_id : $detail->user_id;
            if ($detail->state !== BankState::Confirmed && $began !== $by->id) {
                $this->mustBeApprover($by);
            }
            $to = match ($detail->state) {
                BankState::OnHold => BankState::Refused,
                BankState::Confirmed => BankState::Ending,
                BankState::Ending => BankState::Confirmed,
                default => throw BankingRefused::notOnHold(),
            };
            $detail->remark = Wording::line($reason, 200, 'Say why.');
            if ($to === BankState::Refused) {
                $this->decide($detail, $to, null, $by);
            } else {
                $from = $detail->state;
                $detail->fill(['state' => $to, 'end_user_id' => $to === BankState::Ending ? $by->id : null])->save();
                $this->log(
                    $detail->party,
                    ucfirst($detail->kindTitle()),
                    "{$detail->masked}, {$from->title()}",
                    "{$detail->masked}, {$to->title()}: {$detail->remark}",
                    $by,
                );
            }
        });
    }

    private function putInForce(BankDetail $detail, Confirmation $how, User $by): void
    {
        Confirmation::mustBeSecondPerson($detail->user_id, $by->id);
        // A party has one account of a kind in force; the one before stays in the history.
        $detail->party
            ->bankDetails()
            ->where('kind', $detail->kind)
            ->whereIn('state', [BankState::Confirmed, BankState::Ending])
            ->update(['state' => BankState::Replaced]);
        $this->decide($detail, BankState::Confirmed, $how, $by);
    }

    private function agreeToEnd(BankDetail $detail, Confirmation $how, User $by): void
    {
        if ($detail->end_user_id === $by->id) {
            throw BankingRefused::ownEnd();
        }
        $this->decide($detail, BankState::Ended, $how, $by);
    }

    /**
     * @param array{number: string, expires: string, holder: string, postcode: string} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function addCard(Party $party, #[\SensitiveParameter] array $input, User $by): void
    {
        DB::transaction(function () use ($party, $input, $by): void {
            $party->refresh()->assertInUse();
            $problems = new FieldProblems;
            $number = $problems->at('number', fn () => CardNumber::read($input['number']));
            $expires = $this->month($input['expires'], $problems);
            $holder = (string) $problems->at('holder', fn () => NamePart::tidy($input['holder']));
            $problems->throwIfAny();
            if ($number === null) {
                throw new \LogicException('What was not refused is there.');
            }
            Card::query()->create([
                'party_id' => $party->id,
                'brand' => $number->brand,
                'last_four' => $number->lastFour(),
                'expires' => $expires,
                'holder' => $holder,
                'postcode' => mb_substr(trim($input['postcode']), 0, 20),
                'token' => $this->vault->tokenFor($number),
                'user_id' => $by->id,
            ]);
            $this->log($party, 'Card', '', "{$number->brand} •••• {$number->lastFour()}", $by);
        });
    }

    public function removeCard(Card $card, Party $party, User $by): void
    {
        DB::transaction(function () use ($card, $party, $by): void {
            $card->delete();
            $this->log($party, 'Card', "{$card->brand} •••• {$card->last_four}", '', $by);
        });
    }

    private function hold(Party $party, BankDetail $detail, User $by): void
    {
        $before = $party->bankDetails()->where('kind', $detail->kind)->where('state', BankState::Confirmed)->first();
        // Whoever enters twice has corrected what was on hold.
        $party
            ->bankDetails()
            ->where('kind', $detail->kind)
            ->where('state', BankState::OnHold)
            ->update(['state' => BankState::Refused, 'remark' => 'entered again']);
        $detail
            ->fill([
                'party_id' => $party->id,
                'state' => BankState::OnHold,
                'replaces_id' => $before?->id,
                'user_id' => $by->id,
                'created_at' => $this->clock->now(),
            ])
            ->save();
        $this->log($party, ucfirst($detail->kindTitle()), $before->masked ?? '', $detail->masked.', on hold', $by);
    }

    private function decide(BankDetail $detail, BankState $state, ?Confirmation $how, User $by): void
    {
        $from = $detail->state;
        $detail->fill(['state' => $state, 'decided_by_id' => $by->id, 'decided_at' => $this->clock->now(), 'how' => $how])->save();
        $this->log(
            $detail->party,
            ucfirst($detail->kindTitle()),
            "{$detail->masked}, {$from->title()}",
            "{$detail->masked}, ".trim("{$state->title()}: {$how?->title()} {$detail->remark}", ': '),
            $by,
        );
    }

    private function mustBeApprover(User $by): void
    {
        if (! $by->can(Permission::ApproveChanges->value)) {
            throw new AuthorizationException('Only approvers and administrators confirm bank details.');
        }
    }

    private function month(string $typed, FieldProblems $problems): string
    {
        if (preg_match('#^\s*(\d{1,2})\s*[/.-]\s*(\d{2}|\d{4})\s*$#', $typed, $part) !== 1 || (int) $part[1] < 1 || (int) $part[1] > 12) {
            $problems->add('expires', 'Write month and year, like 04/28.');

            return '';
        }
        $month = sprintf('%04d-%02d', (int) $part[2] + (strlen($part[2]) === 2 ? 2000 : 0), (int) $part[1]);
        if ($month < substr($this->clock->today()->toIso(), 0, 7)) {
            $problems->add('expires', BankingRefused::expired()->getMessage());
        }

        return $month;
    }

    private function log(Party $party, string $label, string $from, string $to, User $by): void
    {
        $party->unsetRelations();
        $this->log->handle(
            $party,
            SectionName::Bank,
            Difference::between(['one' => new LoggedFact($label, $from)], ['one' => new LoggedFact($label, $to)]),
            $by,
        );
        $this->index->alone($party);
    }
}
