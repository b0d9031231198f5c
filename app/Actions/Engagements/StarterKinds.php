<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use App\Models\EngagementKind;

/** The kinds that a new office begins with, to be renamed, added to or retired (common practice, no published source). */
final readonly class StarterKinds
{
    /** Name, plural, sign, stages (name, meaning, days after which it has stood too long), roles (name, least, most, is client, opposes). */
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
                'stages' => array_map(fn (array $stage) => [
                    'id' => null, 'name' => $stage[0], 'meaning' => $stage[1], 'mostDays' => $stage[2], 'isRetired' => false,
                ], $stages),
                'roles' => array_map(fn (array $role) => [
                    'id' => null, 'name' => $role[0], 'least' => $role[1], 'most' => $role[2], 'isClient' => $role[3],
                    'opposes' => $role[4], 'isRetired' => false,
                ], $roles),
            ]);
        }
    }
}
