<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use App\Models\LetterTemplate;
use OpenApi\Attributes as OA;

/** A letter that the office writes again and again. Load its user. */
#[OA\Schema(schema: 'LetterTemplate')]
final readonly class LetterTemplateData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'Who saved it last.')]
        public string $by,
    ) {
    }

    public static function of(LetterTemplate $template): self
    {
        return new self($template->id, $template->name, $template->subject, $template->body, $template->version, $template->user->name);
    }
}
