<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkKind;
use Almanac\Bulk\BulkRefused;
use Almanac\Lists\Condition;
use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Value;
use Almanac\Names\NamePart;
use Almanac\Records\LogKind;
use Almanac\Records\OfficeList;
use Almanac\Records\Wording;
use Almanac\Terms\Shorthand;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Actions\Engagements\EngagementSections;
use App\Actions\Engagements\SaveEngagement;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Notes\WriteLogEntry;
use App\Actions\Office\ListedNames;
use App\Actions\Records\ArchiveParty;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\ClassificationSection;
use App\Actions\Records\DeleteParty;
use App\Actions\Records\DetailsSection;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\TermsSection;
use App\Actions\Records\UndoSave;
use App\Actions\Reminders\KeepReminders;
use App\Facts\Lists\PartyFields;
use App\Models\DetailField;
use App\Models\Engagement;
use App\Models\EngagementRole;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\Reminder;
use App\Models\User;
use App\Time\Clock;
use App\Validation\FieldProblems;
use App\Validation\FieldReaders;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Intl\Languages;

/** Makes of what somebody asks for the act that is done to each record. What cannot be for anybody is refused here. */
final readonly class BulkActs
{
    private const REASON = 200;

    public function __construct(
        private SaveSection $save,
        private UndoSave $undo,
        private ChangeSections $change,
        private Clock $clock,
        private ClassificationSection $classification,
        private DetailsSection $details,
        private FieldReaders $readers,
        private ArchiveParty $archive,
        private DeleteParty $delete,
        private IndexParties $index,
        private KeepStandings $standings,
        private KeepReminders $reminders,
        private WriteLogEntry $log,
        private SaveEngagement $engagements,
        private EngagementSections $engagementSections,
    ) {
    }

    /**
     * @param  array{
     *     kind: string, values: list<string>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
     *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
     * }  $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function of(array $input): BulkAct
    {
        $problems = new FieldProblems;
        $act = $problems->at('values', fn () => match (BulkKind::from($input['kind'])) {
            BulkKind::Owner => $this->colleague('ownerId', 'owner', 'Owner', $input['userId'] ?? null),
            BulkKind::AccountManager => $this->colleague(
                'accountManagerId', 'account-manager', 'Account manager', $input['userId'] ?? null,
            ),
            BulkKind::Buyer => $this->colleague('buyerId', 'buyer', 'Buyer', $input['userId'] ?? null),
            BulkKind::AddTypes => $this->words('types', 'Add the type', OfficeList::Types, $input['values'], true),
            BulkKind::TakeTypes => $this->words('types', 'Take off the type', OfficeList::Types, $input['values'], false),
            BulkKind::AddTags => $this->words('tags', 'Add the tag', OfficeList::Tags, $input['values'], true),
            BulkKind::TakeTags => $this->words('tags', 'Take off the tag', OfficeList::Tags, $input['values'], false),
            BulkKind::Source => $this->source($this->text($input)),
            BulkKind::Language => $this->language($this->text($input)),
            BulkKind::Terms => $this->terms($this->side($input), $this->text($input)),
            BulkKind::SideField => $this->sideField($this->side($input), $input['field'] ?? '', $this->text($input)),
            BulkKind::Detail => $this->detail($input['fieldId'] ?? 0, $input['values']),
            BulkKind::Archive => new ArchiveEdit(Wording::line(
                $this->text($input), self::REASON, 'Say in a few words why, such as “closed its business”.',
            ), $this->archive),
            BulkKind::Restore => new ArchiveEdit(null, $this->archive),
            BulkKind::Delete => new DeleteEdit($this->delete, $this->index, $this->standings),
            BulkKind::Reminder => $this->reminder($this->text($input), $input['day'] ?? '', $input['userId'] ?? null),
            BulkKind::LogEntry => $this->entry($this->text($input), $input['day'] ?? ''),
            BulkKind::Engagement => $this->role($input['engagementId'] ?? 0, $input['roleId'] ?? 0),
        });
        $problems->throwIfAny();

        return $act ?? throw new \LogicException('Nothing is to be done.');
    }

    private function colleague(string $key, string $field, string $title, ?int $userId): BulkAct
    {
        $user = $userId === null ? null : User::query()->find($userId) ?? throw BulkRefused::choose('a colleague');
        $name = $user instanceof User ? $user->name : '';

        return $this->one($key, $field, $title, $user?->id, $name, $name === '' ? 'nobody' : $name);
    }

    /** One value of the classification. */
    private function one(string $key, string $field, string $title, int|string|null $value, string $shown, string $words = ''): BulkAct
    {
        $edit = $this->edit(
            "$title: ".($words === '' ? ($shown === '' ? 'nothing' : $shown) : $words),
            $this->equal($field, $shown),
            $this->classification,
            fn (array $state) => [...$state, $key => $value],
        );

        return new ColumnEdit(
            $edit, $this->classification, ClassificationSection::COLUMNS[$key], $value, $this->change, $this->index,
            $this->clock,
        );
    }

    /** @param  list<string>  $names */
    private function words(string $key, string $title, OfficeList $list, array $names, bool $isAdded): BulkAct
    {
        $names = array_values(array_unique(array_filter(array_map(trim(...), $names), fn (string $name) => $name !== '')));
        if ($names === []) {
            throw BulkRefused::choose('at least one');
        }
        if ($isAdded && $list === OfficeList::Types) {
            ListedNames::ids($list, $names);
        }
        $names = array_map(ListedNames::tidy(...), $names);
        $field = PartyFields::of($key)->field;

        return $this->edit(
            $title.(count($names) === 1 ? ' ' : 's ').implode(', ', $names),
            Condition::of($field, $isAdded ? Operator::AllOf : Operator::NoneOf, ...array_map(Value::choice(...), $names)),
            $this->classification,
            function (array $state) use ($key, $names, $isAdded): array {
                /** @var list<string> $held */
                $held = $state[$key];
                $others = array_values(array_udiff($held, $names, strcasecmp(...)));
                $missing = array_values(array_udiff($names, $held, strcasecmp(...)));

                return [...$state, $key => $isAdded ? ($missing === [] ? $held : [...$held, ...$missing]) : $others];
            },
        );
    }

    private function source(string $typed): BulkAct
    {
        $source = NamePart::tidy($typed);

        return $this->one('source', 'source', 'Where they came from', $source, $source);
    }

    private function language(string $code): BulkAct
    {
        if ($code !== '' && ! Languages::exists($code)) {
            throw BulkRefused::choose('a language');
        }

        return $this->one('language', 'language', 'Language of letters', $code, $code === '' ? '' : Languages::getName($code, 'en'));
    }

    /** @param  string  $typed  empty for what they inherit */
    private function terms(Side $side, string $typed): BulkAct
    {
        $shorthand = $typed === '' ? null : Shorthand::read($typed)->toShorthand();

        return $this->edit(
            ($side === Side::Client ? 'Terms when we bill them: ' : 'Terms when we pay them: ').($shorthand ?? 'as their parent company or the office'),
            $this->equal("{$side->value}-terms", $shorthand ?? ''),
            $this->section($side),
            fn (array $state) => [...$state, 'listedId' => null, 'shorthand' => $shorthand],
        );
    }

    private function sideField(Side $side, string $name, string $typed): BulkAct
    {
        $field = SideField::tryFrom($name);
        if ($field === null || ! in_array($field, SideField::of($side), true)) {
            throw BulkRefused::choose('a field');
        }

        return $this->edit(
            $field->title($side).': '.($typed === '' ? 'as their parent company or the office' : $typed),
            null,
            $this->section($side),
            function (array $state) use ($field, $typed): array {
                /** @var list<array{name: string, value: string|null}> $rows */
                $rows = $state['fields'];

                return [...$state, 'fields' => array_map(
                    fn (array $row) => $row['name'] === $field->value ? [
                        'name' => $field->value, 'value' => $typed === '' ? null : $typed,
                    ] : $row,
                    $rows,
                )];
            },
        );
    }

    /** @param  list<string>  $values  of several choices each */
    private function detail(int $fieldId, array $values): BulkAct
    {
        $field = DetailField::query()->find($fieldId);
        if (! $field instanceof DetailField || $field->is_retired || $field->isSecret()) {
            throw BulkRefused::choose('a field that is not secret');
        }
        $kept = $this->readers->ofOffice()->read($field->kind, implode("\n", $values), $field->options);

        return $this->edit(
            "$field->name: ".($kept === '' ? 'nothing' : str_replace("\n", ', ', $kept)),
            null,
            $this->details,
            function (array $state) use ($field, $kept): array {
                /** @var list<array{fieldId: int, value: string}> $rows */
                $rows = $state['values'];
                $held = array_column($rows, 'value', 'fieldId')[$field->id] ?? '';

                return $held === $kept ? $state : ['values' => [['fieldId' => $field->id, 'value' => $kept]]];
            },
        );
    }

    private function reminder(string $text, string $day, ?int $userId): BulkAct
    {
        $text = Wording::line($text, 200, 'Write what to do.');

        return new NoteEdit("Reminder: $text", function (Party $party, User $by) use ($text, $day, $userId): int {
            return $this->reminders->add($party, [
                'text' => $text, 'day' => $day, 'time' => '', 'rule' => '', 'userId' => $userId ?? $party->owner_id ?? $by->id,
            ], $by)->id;
        }, function (Party $party, int $id, User $by) use ($text): bool {
            $reminder = Reminder::query()->where('subject_id', $party->id)->whereNull('done_at')->where('text', $text)->find($id);
            if ($reminder instanceof Reminder) {
                $this->reminders->remove($reminder, $by);
            }

            return $reminder instanceof Reminder;
        });
    }

    private function entry(string $text, string $day): BulkAct
    {
        $text = Wording::paragraphs($text, 5000, 'Write what happened.');

        return new NoteEdit('Into the log: '.mb_strimwidth(str_replace("\n", ' ', $text), 0, 80, '…'), fn (Party $party, User $by): int => $this->log->write(
            $party,
            ['kind' => LogKind::Note->value, 'day' => $day, 'withPartyId' => null, 'text' => $text, 'isPinned' => false],
            $by,
        )->id, function (Party $party, int $id, User $by) use ($text): bool {
            $entry = LogEntry::query()->where('subject_id', $party->id)->where('text', $text)->find($id);
            if ($entry instanceof LogEntry) {
                $this->log->remove($party, $entry, $by);
            }

            return $entry instanceof LogEntry;
        });
    }

    private function role(int $engagementId, int $roleId): BulkAct
    {
        $engagement = Engagement::query()->find($engagementId) ?? throw BulkRefused::choose('a case or a project');
        $role = EngagementRole::query()->where('kind_id', $engagement->kind_id)->where('is_retired', false)->find($roleId)
            ?? throw BulkRefused::choose('a role');

        return new RoleEdit($engagement, $role, $this->engagements, $this->engagementSections);
    }

    /** @param  \Closure(array<string, mixed>, Party): array<string, mixed>  $edit */
    private function edit(string $title, ?Condition $isSo, Section $section, \Closure $edit): SectionEdit
    {
        return new SectionEdit($title, $isSo, $section, $edit, $this->save, $this->undo);
    }

    private function equal(string $field, string $value): Condition
    {
        $of = PartyFields::of($field)->field;

        return $value === ''
            ? Condition::of($of, Operator::Lacks)
            : Condition::of($of, Operator::Is, $of->type === FieldType::Choice ? Value::choice($value) : Value::text($value));
    }

    private function section(Side $side): Section
    {
        return $side === Side::Client ? TermsSection::whenWeBillThem() : TermsSection::whenWePayThem();
    }

    /** @param  array{side?: string|null, ...}  $input */
    private function side(array $input): Side
    {
        return Side::tryFrom($input['side'] ?? '') ?? throw BulkRefused::choose('a side');
    }

    /** @param  array{values: list<string>, ...}  $input */
    private function text(array $input): string
    {
        return trim($input['values'][0] ?? '');
    }
}
