<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Mailing\KeepLetterTemplates;
use App\Models\User;

/** Letters that the demo office writes again and again. */
final readonly class DemoLetters
{
    /** Name, subject, what it says. */
    private const TEMPLATES = [
        [
            'Winter visit', 'Your clock before the frost',
            "{greeting}\n\nBefore the first hard frost we look after every clock in our care. We would like to come by in the first half of "
                ."December, on a weekday morning; please tell us which day suits you.\n\nWe have you at:\n{address}\n{phone}\n\n"
                ."If something of this has changed, a line to {our email} is enough.\n\nSincerely,\n\n{my name}\n{our name}",
        ],
        [
            'Tax number, please', 'Form W-9, before the year ends',
            "{greeting}\n\nWe have paid you this year, and have to tell the tax office to whom. For that we need a form W-9, filled in and "
                ."signed. Please send it back by the end of the month; any questions, call {our phone}.\n\nThank you,\n\n{my name}\n{our name}",
        ],
        [
            'How we stand', 'Your account with us on {date}',
            "{greeting}\n\nOn {date} our books say that you owe us {receivable|nothing}. Of that, {overdue|nothing} is past its day.\n\n"
                ."If you see it otherwise, please write to {our email}.\n\n{my name}\n{our name}",
        ],
        [
            'How the work goes', '{case: number}: {case: title}',
            "{greeting}\n\nThe work on {case: title} is now: {case: stage}.\n\nWe will write again when it moves on.\n\n{my name}\n{our name}",
        ],
    ];

    public function __construct(private KeepLetterTemplates $keep)
    {
    }

    public function seed(User $by): void
    {
        foreach (self::TEMPLATES as [$name, $subject, $body]) {
            $this->keep->add(['name' => $name, 'subject' => $subject, 'body' => $body], $by);
        }
    }
}
