<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\Formatter;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\Recipient;
use Almanac\Calendar\OfficeZone;
use Almanac\CardDav\DavAddress;
use Almanac\Ledger\AgeingBy;
use Almanac\Money\DecimalSign;
use Almanac\Money\Percent;
use Almanac\Terms\LateInterest;
use Carbon\CarbonImmutable;

/**
 * The office whose book this is. There is one.
 *
 * @property int $id
 * @property string $name
 * @property string|null $began_on the day that has begun: ISO 8601
 * @property string $country ISO 3166-1 alpha-2
 * @property string $lines of its address
 * @property string $locality
 * @property string $region
 * @property string $postcode
 * @property AgeingBy $ageing_by
 * @property int $warn_after days after which an open document is worth a warning
 * @property string $late_rate percent of interest on what is late; empty for none
 * @property bool $late_per_month a flat rate for each month begun, rather than a yearly one by the day
 * @property bool|null $keeps_us_holidays null for as the country does
 * @property bool|null $month_first whether 3/4 means March 4; null for as the country does
 * @property bool|null $decimal_comma whether 12,50 is twelve and a half; null for as the country does
 * @property string $card_places where address books elsewhere may be read, one place on a line
 * @property bool $clerks_make_one whether clerks make records one, rather than propose it
 * @property list<string> $second_factor_roles roles that sign in with a second factor
 * @property bool $backs_up_nightly
 * @property int $backups_kept of the nightly ones
 * @property string $backup_folder empty for the one beside the database
 * @property string $time_zone of the IANA database; empty for that of its address
 * @property string $phone
 * @property string $email
 * @property string|null $how_to_pay what its papers say of it
 * @property string|null $logo_path of a PNG on the disk of files
 */
final class Office extends Model
{
    protected $table = 'offices';

    private const MONTH_FIRST = ['US'];

    protected $fillable = [
        'name',
        'country',
        'lines',
        'locality',
        'region',
        'postcode',
        'phone',
        'email',
        'how_to_pay',
        'logo_path',
        'time_zone',
        'month_first',
        'decimal_comma',
        'ageing_by',
        'warn_after',
        'late_rate',
        'late_per_month',
        'keeps_us_holidays',
        'clerks_make_one',
        'card_places',
        'second_factor_roles',
        'backs_up_nightly',
        'backups_kept',
        'backup_folder',
    ];

    protected $attributes = [
        'lines' => '',
        'locality' => '',
        'region' => '',
        'postcode' => '',
        'phone' => '',
        'email' => '',
        'how_to_pay' => '',
        'time_zone' => '',
        'month_first' => null,
        'decimal_comma' => null,
        'ageing_by' => 'due-date',
        'warn_after' => 30,
        'late_rate' => '',
        'late_per_month' => false,
        'keeps_us_holidays' => null,
        'clerks_make_one' => false,
        'card_places' => '',
        'second_factor_roles' => '[]',
        'backs_up_nightly' => true,
        'backups_kept' => 14,
        'backup_folder' => '',
    ];

    protected function casts(): array
    {
        return [
            'month_first' => 'boolean',
            'decimal_comma' => 'boolean',
            'ageing_by' => AgeingBy::class,
            'late_per_month' => 'boolean',
            'keeps_us_holidays' => 'boolean',
            'clerks_make_one' => 'boolean',
            'second_factor_roles' => 'array',
            'backs_up_nightly' => 'boolean',
        ];
    }

    public static function current(): self
    {
        return once(fn () => self::query()->firstOrFail());
    }

    /** Of amounts that are typed without one: ISO 4217, by the country. Asked for with every amount, and so kept. */
    public function currency(): string
    {
        /** @var array<string, string> $known */
        static $known = [];

        return $known[$this->country] ??= self::currencyIn($this->country);
    }

    /** @return list<string> where address books elsewhere may be read */
    public function bookPlaces(): array
    {
        return DavAddress::places($this->card_places);
    }

    /** @return list<string> as it stands on an envelope; none where it has no address */
    public function envelope(): array
    {
        return $this->locality === '' ? [] : Formatter::onEnvelope(
            PostalAddress::of($this->country, $this->lines, $this->locality, $this->region, $this->postcode),
            Recipient::organisation($this->name),
            $this->country,
        );
    }

    /** The currency that is typed, or the office's own where none is. */
    public function currencyOf(string $typed): string
    {
        return $typed === '' ? $this->currency() : mb_strtoupper($typed);
    }

    public function keepsUsHolidays(): bool
    {
        return $this->keeps_us_holidays ?? $this->country === 'US';
    }

    /** Null where nothing is asked for being late. */
    public function lateInterest(): ?LateInterest
    {
        return match (true) {
            $this->late_rate === '' => null,
            $this->late_per_month => LateInterest::perMonthBegun(Percent::of($this->late_rate)),
            default => LateInterest::perYear(Percent::of($this->late_rate)),
        };
    }

    /** What sets off decimals in the numbers that are typed here. */
    public function decimalSign(): DecimalSign
    {
        return match ($this->decimal_comma) {
            null => DecimalSign::ofCountry($this->country),
            true => DecimalSign::Comma,
            false => DecimalSign::Point,
        };
    }

    /** In which its day begins and ends. */
    public function zone(): \DateTimeZone
    {
        return OfficeZone::of($this->time_zone, $this->country, $this->region);
    }

    /** The day of a moment, by the office's clock. */
    public static function dayOf(\DateTimeInterface $moment): string
    {
        return CarbonImmutable::instance($moment)->setTimezone(self::current()->zone())->format('j M Y');
    }

    /** Whether 3/4 means March 4 here. */
    public function writesMonthFirst(): bool
    {
        return $this->month_first ?? in_array($this->country, self::MONTH_FIRST, true);
    }

    private static function currencyIn(string $country): string
    {
        $code = (new \NumberFormatter('en_'.$country, \NumberFormatter::CURRENCY))->getTextAttribute(\NumberFormatter::CURRENCY_CODE);

        return strlen($code) === 3 && $code !== 'XXX' ? $code : 'USD';
    }
}
