<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use App\Models\EngagementKind;

/** The kinds that a new office begins with, to be renamed, added to or retired (common practice, no published source). */
final readonly class StarterKinds
{
    /**
     * Stages with what they mean and the days after which something has stood there too long; roles with how many are
     * needed and allowed, whether they are whom it is for, and what they oppose.
     *
     * @var list<array{
     *     string, string, string,
     *     list<array{string, string, int|null}>,
     *     list<array{string, int, int|null, bool, list<string>}>,
     * }>
     */
    private const KINDS = [
        ['project', 'projects', 'PR', [
            ['Asked about', 'enquiry', 14],
            ['Quoted', 'enquiry', 30],
            ['At work', 'open', null],
            ['Waiting for parts', 'waiting', 45],
            ['Finished', 'closed', null],
            ['Lost', 'closed', null],
        ], [
            ['client', 1, null, true, []],
            ['site contact', 0, null, false, []],
            ['contractor', 0, null, false, []],
            ['adviser', 0, null, false, []],
        ]],
        ['case', 'cases', 'CA', [
            ['Reported', 'enquiry', 7],
            ['Under review', 'open', 30],
            ['With the insurer', 'waiting', 30],
            ['Settled', 'closed', null],
            ['Declined', 'closed', null],
        ], [
            ['insured', 1, null, true, ['opposing side']],
            ['insurer', 0, 1, false, ['opposing side']],
            ['adjuster', 0, 1, false, ['opposing side']],
            ['executor', 0, null, false, []],
            ['opposing side', 0, null, false, []],
            ['witness', 0, null, false, []],
        ]],
    ];

    public function __construct(private KeepEngagementKinds $keep)
    {
    }

    public function handle(): void
    {
        foreach (self::KINDS as [$name, $plural, $sign, $stages, $roles]) {
            $this->keep->save(new EngagementKind, [
                'name' => $name,
                'plural' => $plural,
                'sign' => $sign,
                'isRetired' => false,
                'stages' => $this->stages($stages),
                'roles' => $this->roles($roles),
            ]);
        }
    }

    /**
     * @param list<array{string, string, int|null}> $stages
     *
     * @return list<array{id: null, name: string, meaning: string, mostDays: int|null, isRetired: bool}>
     */
    private function stages(array $stages): array
    {
        return array_map(
            fn (array $one) => ['id' => null, 'name' => $one[0], 'meaning' => $one[1], 'mostDays' => $one[2], 'isRetired' => false],
            $stages,
        );
    }

    /**
     * @param list<array{string, int, int|null, bool, list<string>}> $roles
     *
     * @return list<array{
     *     id: null, name: string, least: int, most: int|null, isClient: bool, opposes: list<string>, isRetired: bool,
     * }>
     */
    private function roles(array $roles): array
    {
        return array_map(fn (array $one) => [
            'id' => null, 'name' => $one[0], 'least' => $one[1], 'most' => $one[2], 'isClient' => $one[3],
            'opposes' => $one[4], 'isRetired' => false,
        ], $roles);
    }
}
