<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Illuminate\Support\Facades\DB;

/**
 * The records that others have added or changed since the lines of a file were checked: with all others they were compared
 * then. What an import itself does is told with seen().
 */
final class Meanwhile
{
    /** More changes are not looked through one by one. */
    private const MOST = 2000;

    /** @var array<int, true>|null by record; null for more than can be listed */
    private ?array $ids = [];

    /** @param  int|null  $to  the last change that was known when they were checked; null where nobody noted it */
    public function __construct(private ?int $to)
    {
        if ($to === null) {
            $this->ids = null;
        }
    }

    /**
     * Runs inside the transaction in which they are compared.
     *
     * @return array<int, true>|null by record; null where it may be anybody
     */
    public function ids(): ?array
    {
        if ($this->ids !== null) {
            $others = DB::table('changes')->where('id', '>', $this->to)->orderBy('id')->limit(self::MOST + 1)->pluck('subject_id')->all();
            $this->ids += array_fill_keys($others, true);
            $this->ids = count($others) > self::MOST ? null : $this->ids;
        }

        return $this->ids;
    }

    /** All that has been written up to now is known. */
    public function seen(): void
    {
        $this->to = (int) DB::table('changes')->max('id');
    }
}
