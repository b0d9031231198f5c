<?php

declare(strict_types=1);

namespace Tests\Core\Mailing;

use Almanac\Addresses\PostalAddress;
use Almanac\Calendar\Day;
use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LetterText;
use Almanac\Mailing\MailingRefused;
use Almanac\Mailing\OptOut;
use Almanac\Mailing\Reachable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Letters with fields, and who gets one. The examples are common practice, no published source. */
final class LetterTextTest extends TestCase
{
    /** @return array<string, array{string, array<string, string>, string}> */
    public static function letters(): array
    {
        $wren = [
            'greeting' => 'Dear Mr. Wren:', 'name' => 'Edmund Wren', 'phone' => '',
            'address' => "1 Quay\nNEWFANE, VT 05345", 'suite' => '',
        ];

        return [
            'a plain one' => ["{greeting}\n\nThank you.", $wren, "Dear Mr. Wren:\n\nThank you."],
            'however a field is typed' => ['{ Greeting }{NAME}', $wren, 'Dear Mr. Wren:Edmund Wren'],
            'several lines in one field' => ["To:\n{address}\nBye", $wren, "To:\n1 Quay\nNEWFANE, VT 05345\nBye"],
            'a line with nothing but an empty field goes' => ["{name}\n{suite}\n{phone}\nEnd", $wren, "Edmund Wren\nEnd"],
            'a line that was empty stays' => ["a\n\nb", $wren, "a\n\nb"],
            'an empty field leaves no hole' => ['Call {phone} , {name} .', $wren, 'Call, Edmund Wren.'],
            'what is said instead' => ['Call {phone|our office}.', $wren, 'Call our office.'],
            'what is said instead is not said where it is there' => ['{name|friend}', $wren, 'Edmund Wren'],
            'a brace by itself' => ['{{name}} of {{x', $wren, '{name} of {x'],
            'a value is not read again' => ['{name}', ['name' => '{greeting} {{'], '{greeting} {{'],
            'other alphabets' => ['親愛なる{name}様', ['name' => '時計店'], '親愛なる時計店様'],
            'carriage returns' => ["a\r\nb\rc", [], "a\nb\nc"],
            'nothing known' => ['{name}', [], ''],
        ];
    }

    /** @param  array<string, string>  $values */
    #[DataProvider('letters')]
    public function test_fields_are_filled_in(string $typed, array $values, string $letter): void
    {
        $this->assertSame($letter, LetterText::of($typed)->filled($values));
    }

    public function test_what_is_not_a_field_is_told_with_its_line_and_what_was_meant(): void
    {
        $told = function (string $typed): string {
            try {
                LetterText::of($typed)->mustKnow(['greeting', 'first name', 'payment terms']);
            } catch (MailingRefused $refused) {
                return $refused->getMessage();
            }

            return '';
        };
        $this->assertSame('', $told('{greeting} {First  Name|you} {payment terms}'));
        $this->assertSame('There is no field “frist name” (line 2). Is “first name” meant?', $told("{greeting}\n{frist name}"));
        $this->assertSame('There is no field “shoe size” (line 1). Choose one of the list.', $told('{shoe size}'));
        $this->assertSame('Line 2 has a brace that does not belong to a field. Close it, or write it twice.', $told("a\n{greeting"));
        $this->assertStringStartsWith('Line 1 has a brace', $told('greeting}'));
        $this->assertStringStartsWith('Line 1 has a brace', $told('{a{b}'));
        $this->assertStringStartsWith('Line 1 has braces without a field', $told('{ |x}'));
        $this->assertStringStartsWith('A letter has at most 20,000 letters', $told(str_repeat('ä', 20_001)));
        $this->assertSame('', $told(str_repeat('ä', 20_000)));
        $this->assertStringStartsWith(
            'A letter has at most 200 fields',
            $told(implode('', array_map(fn (int $n) => "{f$n}", range(1, 201)))),
        );
        $this->assertStringStartsWith('There is no field “', $told('{'.str_repeat('x', 5000).'}'));
    }

    public function test_writing_the_fields_by_their_own_names_gives_the_letter_again(): void
    {
        mt_srand(20261130);
        $pieces = ['{greeting}', '{first name|you}', ' and ', "\n", 'Dear', '{{', '}}', 'é', '  '];
        for ($n = 0; $n < 200; $n++) {
            $typed = 'x';
            for ($at = mt_rand(1, 12); $at > 0; $at--) {
                $typed .= $pieces[mt_rand(0, count($pieces) - 1)];
            }
            $typed .= 'x';
            $text = LetterText::of($typed);
            $same = $text->filled(array_combine($text->fields(), array_map(fn (string $field) => '{'.$field.'}', $text->fields())));
            $lines = implode(
                "\n",
                array_map(rtrim(...), explode("\n", str_replace(['{first name|you}', '{{', '}}'], ['{first name}', '{', '}'], $typed))),
            );
            $this->assertSame($lines, $same, $typed);
        }
    }

    public function test_in_a_list_it_is_called_by_what_is_the_same_for_all(): void
    {
        foreach ([
            'Your clock, {name}' => 'Your clock', '{case: number}: {case: title}' => '',
            "{greeting}\n\nWe  move.\nSoon." => 'We move. Soon.',
            'Since {date} we are {our name}' => 'Since … we are', '' => '', '{name}: saħħa Ħ' => 'saħħa Ħ',
        ] as $typed => $words) {
            $this->assertSame($words, LetterText::of($typed)->inShort());
        }
    }

    public function test_what_forbids_a_letter_comes_before_what_is_lacking(): void
    {
        $whole = PostalAddress::of('US', '1 Quay', 'Newfane', 'VT', '05345');
        $half = PostalAddress::of('US', '1 Quay', 'Newfane', 'VT', '');
        $out = OptOut::of(Day::of(2026, 5, 3), 'by phone');
        $this->assertSame('', Reachable::onPaper(false, null, '', $whole));
        $this->assertSame('no address', Reachable::onPaper(false, null, '', null));
        $this->assertSame('the address lacks its zip code', Reachable::onPaper(false, null, '', $half));
        $this->assertSame('wants no letters since 3 May 2026, by phone', Reachable::onPaper(false, $out, 'they sue us', null));
        $this->assertSame('stop: they sue us', Reachable::onPaper(false, null, 'they sue us', $half));
        $this->assertSame('has died', Reachable::byEmail(true, $out, '', true));
        $this->assertSame('no email', Reachable::byEmail(false, null, '', false));
        $this->assertSame('', Reachable::byEmail(false, null, '', true));
        $this->assertSame('wants no letters since 3 May 2026', OptOut::of(Day::of(2026, 5, 3), '')->toText());
    }

    public function test_a_couple_and_a_household_are_greeted_together(): void
    {
        $one = fn (int $id, string $person, string $family, string $greeting, string $email = '', ?int $with = null): Addressee => new Addressee(
            $id, $person, [$with === null ? $person : 'Edith Larkin and', ...$with === null ? [] : ['Walter Larkin'], '9 Pond Street'],
            togetherWith: $with, place: '7', person: $person, family: $family, greeting: $greeting, email: $email,
        );
        $edith = $one(1, 'Edith Larkin', 'Larkin', 'Dear Edith and Walter:', 'edith@larkin.example', 2);
        $walter = $one(2, 'Walter Larkin', 'Larkin', 'Dear Edith and Walter:', 'walter@larkin.example', 1);
        $ida = $one(3, 'Ida Larkin', 'Larkin', 'Dear Ida:', 'edith@larkin.example');
        $ben = $one(4, 'Ben Teale', 'Teale', 'Dear Mr. Teale:');
        $couple = Envelope::of([$edith, $walter]);
        $this->assertSame(['Edith Larkin and', 'Walter Larkin', '9 Pond Street'], $couple->lines);
        $this->assertSame('Dear Edith and Walter:', $couple->greeting);
        $this->assertSame(['edith@larkin.example', 'walter@larkin.example'], $couple->emails());
        $family = Envelope::of([$edith, $walter, $ida]);
        $this->assertSame(['The Larkin household', '9 Pond Street'], $family->lines);
        $this->assertSame('Dear members of the Larkin household:', $family->greeting);
        $this->assertSame(['edith@larkin.example', 'walter@larkin.example'], $family->emails(), 'one email for each address');
        $this->assertSame(['Ida Larkin', 'Ben Teale', '9 Pond Street'], Envelope::of([$ida, $ben])->lines);
        $this->assertSame('Dear Ida and Mr. Teale:', Envelope::of([$ida, $ben])->greeting);
        $this->assertSame('place 7', $edith->sharedBy(true));
        $this->assertSame('couple 1 2', $walter->sharedBy(false));
        $this->assertSame('one 4', $ben->sharedBy(false));
    }
}
