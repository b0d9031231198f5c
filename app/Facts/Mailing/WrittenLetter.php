<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

/** A letter as its reader gets it. */
final readonly class WrittenLetter
{
    /**
     * @param list<string> $address as it stands on the envelope
     * @param list<string> $to where it goes by email
     */
    public function __construct(public array $address, public array $to, public string $subject, public string $body)
    {
    }

    /** @param  array{address: list<string>, to: list<string>, subject: string, body: string}  $kept */
    public static function kept(array $kept): self
    {
        return new self($kept['address'], $kept['to'], $kept['subject'], $kept['body']);
    }

    /** @return array{address: list<string>, to: list<string>, subject: string, body: string} */
    public function toKeep(): array
    {
        return ['address' => $this->address, 'to' => $this->to, 'subject' => $this->subject, 'body' => $this->body];
    }
}
