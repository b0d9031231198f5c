<?php

declare(strict_types=1);

namespace Almanac\Files;

/** Which files are kept, by what is in them and not by what they are called; none that a browser would run. */
final readonly class FileType
{
    public const MOST_BYTES = 25_000_000;

    private const PICTURES = ['image/png', 'image/jpeg', 'image/gif', 'image/webp'];

    private const PDF = 'application/pdf';

    private const OTHERS = [
        'image/tiff',
        'image/heic',
        'text/plain',
        'text/csv',
        'message/rfc822',
        'text/calendar',
        'text/vcard',
        'application/rtf',
        'text/rtf',
    ];

    /** Office documents are archives inside; of those the name has to tell which. */
    private const ARCHIVED = [
        'docx' => 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'pptx' => 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
        'odt' => 'application/vnd.oasis.opendocument.text',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
        'odp' => 'application/vnd.oasis.opendocument.presentation',
    ];

    private const TEXTS = ['csv' => 'text/csv', 'eml' => 'message/rfc822', 'ics' => 'text/calendar', 'vcf' => 'text/vcard'];

    private function __construct(public string $mediaType)
    {
    }

    /**
     * @param string $found the media type that the content has, as a detector of the system says
     * @param int $bytes its size
     *
     * @throws FileRefused when it is empty, too large, or of another type
     */
    public static function of(string $name, string $found, int $bytes): self
    {
        $ending = mb_strtolower(pathinfo($name, PATHINFO_EXTENSION));

        return match (true) {
            $bytes === 0 => throw FileRefused::empty(),
            $bytes > self::MOST_BYTES => throw FileRefused::tooLarge($bytes, self::MOST_BYTES),
            $found === 'text/plain' => new self(self::TEXTS[$ending] ?? $found),
            in_array($found, [self::PDF, ...self::PICTURES, ...self::OTHERS, ...self::ARCHIVED], true) => new self($found),
            $found === 'application/zip' && isset(self::ARCHIVED[$ending]) => new self(self::ARCHIVED[$ending]),
            default => throw FileRefused::type($name),
        };
    }

    public static function isPicture(string $mediaType): bool
    {
        return in_array($mediaType, self::PICTURES, true);
    }

    /** Whether a browser shows it safely by itself. */
    public static function canBeShown(string $mediaType): bool
    {
        return self::isPicture($mediaType) || $mediaType === self::PDF;
    }
}
