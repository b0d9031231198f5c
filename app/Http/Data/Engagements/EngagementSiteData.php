<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Addresses\Formatter;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Engagement;
use OpenApi\Attributes as OA;

/** Where it is. */
#[OA\Schema(schema: 'EngagementSite')]
final readonly class EngagementSiteData
{
    /** @param  list<string>  $display */
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'Of somebody’s address, where it is linked.', nullable: true)]
        public ?int $addressId,
        #[OA\Property(ref: '#/components/schemas/PartyLink', description: 'Whose address it is.', nullable: true)]
        public ?PartyLinkData $of,
        #[OA\Property]
        public string $country,
        #[OA\Property]
        public string $lines,
        #[OA\Property]
        public string $locality,
        #[OA\Property]
        public string $region,
        #[OA\Property]
        public string $postcode,
        #[OA\Property(description: 'For reading, a line each; empty where no place is known.', items: new OA\Items(type: 'string'))]
        public array $display,
        #[OA\Property]
        public string $note,
    ) {
    }

    public static function of(Engagement $engagement, int $version, string $home): self
    {
        $site = $engagement->site();

        return new self(
            $version,
            $engagement->site_id,
            $engagement->siteAddress === null ? null : PartyLinkData::of($engagement->siteAddress->owner),
            $site->country ?? '',
            implode("\n", $site->lines ?? []),
            $site->locality ?? '',
            $site->region ?? '',
            $site->postcode ?? '',
            $site === null ? [] : Formatter::onScreen($site, $home),
            $engagement->site_note,
        );
    }
}
