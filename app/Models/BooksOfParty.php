<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Banking\BankState;
use Almanac\Ledger\DocumentKind;
use Almanac\Terms\Side;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/** What a party has in the books: documents, money, bank details. */
trait BooksOfParty
{
    /** @return HasMany<Document, $this> */
    public function documents(): HasMany
    {
        return $this->hasMany(Document::class);
    }

    /** @return HasMany<Document, $this> what is open of a side in a currency, and money can be used on */
    public function openToPay(Side $side, string $currency): HasMany
    {
        return $this->documents()->open()->where('currency', $currency)->whereIn('kind', DocumentKind::owed($side));
    }

    /**
     * What was owed when the books began.
     *
     * @return HasMany<Document, $this>
     */
    public function openings(): HasMany
    {
        return $this->hasMany(Document::class)->whereIn('kind', [DocumentKind::OpeningReceivable, DocumentKind::OpeningPayable]);
    }

    /** @return HasMany<Payment, $this> */
    public function payments(): HasMany
    {
        return $this->hasMany(Payment::class);
    }

    /** @return HasMany<BankDetail, $this> the newest first */
    public function bankDetails(): HasMany
    {
        return $this->hasMany(BankDetail::class)->orderByDesc('id');
    }

    /** @return HasMany<Card, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(Card::class)->orderBy('id');
    }

    /** @return HasOne<Balance, $this> what it owes and is owed, in one line; missing while nothing is */
    public function balance(): HasOne
    {
        return $this->hasOne(Balance::class);
    }

    public function sideTerms(Side $side): ClientTerms|VendorTerms|null
    {
        return $side === Side::Client ? $this->clientTerms : $this->vendorTerms;
    }

    /** The name on a payment to it, as it is written in the record. */
    public function payee(): string
    {
        return $this->payee_name ?: ($this->legal_name ?: $this->display_name);
    }

    /** The name that payments are made out to: while a new one waits for a second person, the one before it. */
    public function payeeInForce(): string
    {
        $this->loadMissing('bankDetails');
        $names = $this->bankDetails->where('kind', BankDetail::PAYEE);

        return $names->contains('state', BankState::OnHold)
            ? $names->firstWhere('state', BankState::Confirmed)->holder ?? ($this->legal_name ?: $this->display_name)
            : $this->payee();
    }
}
