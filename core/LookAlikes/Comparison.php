<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * Whether two records may be the same, with the reasons for and against.
 *
 * The score is the sum of the weights of all signs and of what is likely before anything is compared, in bits: 0 is even,
 * 7 is about a hundred to one. What the single signs cannot say by adding up stands in Contradictions: Edith and Walter of
 * one house agree in phone, address and family name, and are two.
 */
final readonly class Comparison
{
    /** By the weights alone; that it is nearly always right is the work of Contradictions. */
    private const SAME = 2.5;

    private const PERHAPS = -7.5;

    /** Of those who share nothing but the name, and are known to be elsewhere: there are many of them in a large book. */
    private const NAMESAKES = 0.0;

    /** @param  list<array{Sign, float}>  $signs  with their weights in bits, as they were compared */
    private function __construct(public float $score, public array $signs, public Verdict $verdict)
    {
    }

    public static function of(Likeness $one, Likeness $other, ?Weights $weights = null): self
    {
        $evidence = Evidence::between($one, $other);

        return $evidence === null
            ? new self(-INF, [], Verdict::Different)
            : self::weigh($evidence, $one, $other, $weights ?? Weights::shipped());
    }

    public static function weigh(Evidence $evidence, Likeness $one, Likeness $other, Weights $weights): self
    {
        $score = $weights->prior();
        $signs = [];
        foreach ($evidence->signs as $sign) {
            $bits = $weights->bits($sign, $one, $other);
            $score += $bits;
            $signs[] = [$sign, $bits];
        }
        $byWeight = match (true) {
            $score >= self::SAME => Verdict::Same,
            $score >= (self::areNamesakes($evidence) ? self::NAMESAKES : self::PERHAPS) => Verdict::Perhaps,
            default => Verdict::Different,
        };

        $most = $evidence->has(Sign::GivenAlike) && $weights->areBothNames($one, $other) ? Verdict::Perhaps : Verdict::Same;

        return new self($score, $signs, $byWeight->atMost(Contradictions::allow($evidence))->atMost($most));
    }

    /** @return list<string> what speaks for it, in words, the weightiest first */
    public function reasons(bool $withPrivate = true): array
    {
        $signs = array_filter($this->signs, fn (array $one) => $one[1] > 0 && ($withPrivate || ! $one[0]->isPrivate()));
        usort($signs, fn (array $a, array $b) => $b[1] <=> $a[1]);

        return array_map(fn (array $one) => $one[0]->words(), $signs);
    }

    public function isLikely(): bool
    {
        return $this->verdict === Verdict::Same;
    }

    public function isPossible(): bool
    {
        return $this->verdict !== Verdict::Different;
    }

    private static function areNamesakes(Evidence $evidence): bool
    {
        $places = [Sign::PlaceTown, Sign::PlaceDiffers];
        $differ = (int) $evidence->has(Sign::PhoneDiffers) + (int) $evidence->has(Sign::EmailDiffers) + (int) $evidence->has(...$places);

        return $differ > 1 && ! $evidence->has(
            Sign::PhoneSame,
            Sign::EmailSame,
            Sign::EmailElsewhere,
            Sign::PlaceSame,
            Sign::PlaceOtherUnit,
            Sign::WebsiteSame,
            Sign::BornSame,
            Sign::BornSlip,
            Sign::TaxSame,
            Sign::NumberSame,
            Sign::EmployerSame,
        );
    }
}
