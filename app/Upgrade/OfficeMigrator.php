<?php

declare(strict_types=1);

namespace App\Upgrade;

use Illuminate\Database\Migrations\Migrator;

/** Runs migrations; a database of a version before 0.3 is carried over first. */
final class OfficeMigrator extends Migrator
{
    private ?CarryOver $carryOver = null;

    public function carryingOver(CarryOver $carryOver): self
    {
        $this->carryOver = $carryOver;

        return $this;
    }

    /**
     * @param string|array<string> $paths
     * @param array<string, mixed> $options
     *
     * @return array<string>
     */
    public function run($paths = [], array $options = []): array
    {
        $this->carryOver?->ifNeeded();

        return parent::run($paths, $options);
    }
}
