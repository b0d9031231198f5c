<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Engagements\EngagementRefused;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Payment;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Which case or project a document or a payment is for. */
final readonly class ForEngagement
{
    public function __construct(private NoteEvent $note)
    {
    }

    /**
     * What whoever writes may choose. One that is kept and that they may not see stays: they cannot have meant to take it away.
     *
     * @throws EngagementRefused when there is none, or it is archived
     */
    public static function read(?int $id, ?int $keptId): ?int
    {
        if ($keptId !== null && $id !== $keptId && Engagement::query()->whereKey($keptId)->doesntExist()) {
            return $keptId;
        }
        if ($id !== null && $id !== $keptId && Engagement::query()->whereKey($id)->whereNull('archived_on')->doesntExist()) {
            throw EngagementRefused::noneToWriteFor();
        }

        return $id;
    }

    /**
     * Puts it right later, of what is issued too; all of a chain keep together.
     *
     * @throws EngagementRefused when there is none, or it is archived
     */
    public function document(Document $document, ?int $id, User $by): void
    {
        DB::transaction(function () use ($document, $id, $by): void {
            $document->refresh();
            $to = self::read($id, $document->engagement_id);
            foreach ($to === $document->engagement_id ? [] : $this->chain($document) as $one) {
                $one->update(['engagement_id' => $to]);
                $this->payments($one, $to);
                $this->note->handle($one, $to === null ? 'taken out of its case or project' : 'put to a case or project', $by);
            }
        });
        $document->refresh();
    }

    /** @throws EngagementRefused when there is none, or it is archived */
    public function payment(Payment $payment, ?int $id): void
    {
        DB::transaction(function () use ($payment, $id): void {
            $payment->refresh();
            $payment->update(['engagement_id' => self::read($id, $payment->engagement_id)]);
        });
    }

    /** Where all that a payment was used on is for one case or project, so is the payment, unless somebody has said otherwise. */
    public static function follow(Payment $payment): void
    {
        if ($payment->engagement_id === null) {
            $used = Document::query()->whereIn('id', Allocation::query()->select('document_id')->where('payment_id', $payment->id))
                ->distinct()->pluck('engagement_id');
            if ($used->count() === 1 && $used->first() !== null) {
                $payment->update(['engagement_id' => $used->first()]);
            }
        }
    }

    /** What was paid on it goes with it, where it was for the same. */
    private function payments(Document $document, ?int $to): void
    {
        $paid = Payment::query()->whereIn(
            'id',
            Allocation::query()->select('payment_id')->where('document_id', $document->id)->whereNotNull('payment_id'),
        );
        foreach ($paid->get() as $payment) {
            if ($to === null) {
                $payment->update(['engagement_id' => null]);
            }
            self::follow($payment);
        }
    }

    /** @return list<Document> the document, what it was made from and what was made from that, as far as they go */
    private function chain(Document $document): array
    {
        $found = [$document->id => $document];
        for ($new = [$document->id]; $new !== []; $new = array_keys($next)) {
            $sources = Document::query()->whereKey($new)->whereNotNull('source_id')->pluck('source_id');
            $next = Document::query()
                ->where(fn ($some) => $some->whereIn('source_id', $new)->orWhereIn('id', $sources)->orWhereIn('replaces_id', $new))
                ->whereKeyNot(array_keys($found))
                ->where('engagement_id', $document->engagement_id)
                ->get()->keyBy('id')->all();
            $found += $next;
        }

        return array_values($found);
    }
}
