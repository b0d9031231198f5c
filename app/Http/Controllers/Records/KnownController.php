<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use Almanac\Reach\ContactKind;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Records\KnownRequest;
use App\Queries\Records\FindAddresses;
use App\Queries\Records\FindHolders;
use Illuminate\Http\JsonResponse;

/** What the book has already of what is being typed. */
final readonly class KnownController
{
    #[
        Reads(
            'known/addresses',
            'findAddresses',
            'The addresses in the book that begin with what is typed',
            '[KnownAddress]',
            'Records',
            KnownRequest::class,
        ),
    ]
    public function addresses(KnownRequest $request, FindAddresses $find): JsonResponse
    {
        return new JsonResponse($find->handle($request->typed(), $request->string('country')->value(), $request->exceptId()));
    }

    #[
        Reads('known/phones', 'findPhones', 'Who has the phone that is typed', '[PartyLink]', 'Records', KnownRequest::class),
    ]
    public function phones(KnownRequest $request, FindHolders $find): JsonResponse
    {
        return new JsonResponse($find->handle(ContactKind::Phone, $request->typed(), $request->exceptId()));
    }

    #[
        Reads('known/emails', 'findEmails', 'Who has the email that is typed', '[PartyLink]', 'Records', KnownRequest::class),
    ]
    public function emails(KnownRequest $request, FindHolders $find): JsonResponse
    {
        return new JsonResponse($find->handle(ContactKind::Email, $request->typed(), $request->exceptId()));
    }
}
