<?php

declare(strict_types=1);

namespace Tests\Core\Names;

use Almanac\Names\Addressing;
use Almanac\Names\CompanyName;
use Almanac\Names\NameRefused;
use Almanac\Names\PersonName;
use Almanac\Names\Pronouns;
use Almanac\Names\TypedPersonName;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class NamesTest extends TestCase
{
    public function test_what_is_made_of_a_persons_parts(): void
    {
        $name = PersonName::of('Silas', 'Wren', prefix: 'Mr.', middle: 'A.', suffix: 'III');
        $this->assertSame('Mr. Silas A. Wren III', $name->display());
        $this->assertSame('Wren, Silas A., III', $name->fileAs());
        $this->assertSame('SAW', $name->initials());
    }

    public function test_one_name_is_enough(): void
    {
        $this->assertSame('Isolde', PersonName::of('Isolde', '')->fileAs());
        $this->assertSame('Quill', PersonName::of('', 'Quill')->display());
    }

    public function test_chinese_japanese_and_korean_names_begin_with_the_family(): void
    {
        $name = PersonName::of('美咲', '田中');
        $this->assertSame('田中 美咲', $name->display());
        $this->assertSame('田中 美咲', $name->fileAs());
        $this->assertSame('Tanaka, Misaki', PersonName::of('Misaki', 'Tanaka')->fileAs());
    }

    #[TestWith(['Silas Wren', '', 'Silas', '', 'Wren', ''])]
    #[TestWith(['Mr. Silas A. Wren III', 'Mr.', 'Silas', 'A.', 'Wren', 'III'])]
    #[TestWith(['Wren, Silas A.', '', 'Silas', 'A.', 'Wren', ''])]
    #[TestWith(['Wren, Silas, Jr.', '', 'Silas', '', 'Wren', 'Jr.'])]
    #[TestWith(['Silas Wren, Esq.', '', 'Silas', '', 'Wren', 'Esq.'])]
    #[TestWith(['Ludwig van der Rohe', '', 'Ludwig', '', 'van der Rohe', ''])]
    #[TestWith(['Maria de la Cruz', '', 'Maria', '', 'de la Cruz', ''])]
    #[TestWith(['Dr. Augusta Penhallow', 'Dr.', 'Augusta', '', 'Penhallow', ''])]
    #[TestWith(['Regula Aebi-Müller', '', 'Regula', '', 'Aebi-Müller', ''])]
    #[TestWith(['Isolde', '', 'Isolde', '', '', ''])]
    #[TestWith(['Van Morris', '', 'Van', '', 'Morris', ''])]
    public function test_a_name_typed_in_one_run_is_taken_apart(
        string $typed,
        string $prefix,
        string $given,
        string $middle,
        string $family,
        string $suffix,
    ): void {
        $name = TypedPersonName::read($typed)->name;
        $this->assertSame(
            [$prefix, $given, $middle, $family, $suffix],
            [$name->prefix, $name->given, $name->middle, $name->family, $name->suffix],
        );
    }

    #[TestWith(['شركة الفنار'])]
    #[TestWith(['李明钟表行'])]
    #[TestWith(['🦉 Owl & Sons 👨‍👩‍👧'])]
    #[TestWith(['Čeněk Žižka'])]
    public function test_any_letters_are_kept_whole(string $name): void
    {
        $this->assertSame($name, CompanyName::of($name)->name);
    }

    public function test_spaces_and_control_characters_are_tidied(): void
    {
        $this->assertSame('Brass Lantern', CompanyName::of("  Brass\t\u{0}  Lantern\n")->name);
    }

    public function test_the_article_is_filed_last(): void
    {
        $this->assertSame('Harbor Trust, The', CompanyName::of('The Harbor Trust')->fileAs());
        $this->assertSame('Theodore Works', CompanyName::of('Theodore Works')->fileAs());
    }

    public function test_an_empty_name_is_refused(): void
    {
        $this->expectException(NameRefused::class);
        $this->expectExceptionMessage('Type the company’s name.');
        CompanyName::of(" \u{a0} ");
    }

    public function test_a_person_needs_a_name_too(): void
    {
        $this->expectException(NameRefused::class);
        $this->expectExceptionMessage('Type a given name or a family name.');
        PersonName::of('', '', prefix: 'Mr.');
    }

    public function test_a_name_of_300_characters_is_refused_with_its_length(): void
    {
        $this->expectException(NameRefused::class);
        $this->expectExceptionMessage('That is 300 characters long; the limit is 200.');
        CompanyName::of(str_repeat('é', 300));
    }

    public function test_characters_are_counted_as_people_see_them(): void
    {
        $this->assertSame(200, grapheme_strlen(CompanyName::of(str_repeat('👨‍👩‍👧', 200))->name));
    }

    /** @param  list<string>  $doubtful */
    #[TestWith(['Silas A. Wren', []])]
    #[TestWith(['Wren, Silas Augustus', []])]
    #[TestWith(['Ludwig van der Rohe', []])]
    #[TestWith(['Juan Garcia Lopez', ['middle', 'family']])]
    #[TestWith(['Isolde', ['given', 'family']])]
    #[TestWith(['Wren, Silas, Foundry', ['given', 'middle', 'family']])]
    public function test_what_is_doubtful_is_told(string $typed, array $doubtful): void
    {
        $this->assertSame($doubtful, TypedPersonName::read($typed)->doubtful);
    }

    public function test_degrees_stand_after_the_name(): void
    {
        $name = TypedPersonName::read('Dr. Augusta Penhallow, Ph.D., CPA')->name;
        $this->assertSame(['Augusta', 'Penhallow', 'Ph.D., CPA'], [$name->given, $name->family, $name->postNominals]);
        $this->assertSame('Dr. Augusta Penhallow, Ph.D., CPA', $name->onEnvelope());
    }

    /** Examples of the rules, and the forms of American business letters. */
    public function test_how_a_person_is_written_to(): void
    {
        $silas = PersonName::of('Silas', 'Wren', prefix: 'Mr.', middle: 'A.', suffix: 'III', preferred: 'Si');
        $this->assertSame('Mr. Silas A. Wren III', Addressing::of($silas)->envelopeLine());
        $this->assertSame('Dear Mr. Wren:', Addressing::of($silas)->salutation());
        $this->assertSame('Dear Si:', Addressing::of($silas, isInformal: true)->salutation());
        $this->assertSame('Estate of Silas A. Wren III', Addressing::of($silas, isDeceased: true)->envelopeLine());
        $this->assertNull(Addressing::of($silas, isInformal: true, isDeceased: true)->salutation());
        $this->assertSame('Dear Silas Wren:', Addressing::of(PersonName::of('Silas', 'Wren'))->salutation());
        $this->assertSame('Dear Isolde:', Addressing::of(PersonName::of('Isolde', '', prefix: 'Ms.'))->salutation());
        $this->assertSame(
            'Silas Wren, Esq.',
            Addressing::of(PersonName::of('Silas', 'Wren', prefix: 'Mr.', postNominals: 'Esq.'))->envelopeLine(),
        );
    }

    #[TestWith(['Mr.', 'he/him'])]
    #[TestWith(['mrs', 'she/her'])]
    #[TestWith(['Ms.', 'she/her'])]
    #[TestWith(['Dr.', null])]
    #[TestWith(['Prof.', null])]
    #[TestWith(['Rev.', null])]
    #[TestWith(['Mx.', null])]
    #[TestWith(['', null])]
    public function test_pronouns_are_suggested_only_by_a_prefix_that_tells(string $prefix, ?string $pronouns): void
    {
        $this->assertSame($pronouns, Pronouns::suggestedBy($prefix));
    }
}
