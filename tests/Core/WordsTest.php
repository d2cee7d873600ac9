<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Layout\Strip;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Target;
use Embrel\Plan\TargetShares;
use Embrel\Plan\WordTotals;
use Embrel\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class WordsTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function texts(): iterable
    {
        yield 'nothing' => ['', 0];
        yield 'signs alone are no words' => ['— * … ½ !?', 0];
        yield 'a word with signs around it is one' => ['“It’s,” he said (twice).', 4];
        yield 'joined by a hyphen or a slash: one' => ['well-known and/or', 2];
        yield 'no-break space divides' => ["a\u{00A0}b\u{2009}c\u{3000}d", 4];
        yield 'digits count' => ['3,600 words in 1.2', 4];
        yield 'accents and other alphabets' => ['Übergrößen κόσμος мир', 3];
        yield 'Thai is divided by ICU' => ['ภาษาไทย', 2];
        yield 'Chinese beside Latin' => ['Das ist 中文', 3];
        yield 'a long run without letters is quick' => [str_repeat('-', 300_000) . 'a', 1];
    }

    #[DataProvider('texts')]
    public function testCounts(string $text, int $words): void
    {
        self::assertSame($words, Words::in($text));
    }

    private function plan(): Plan
    {
        $plan = Build::plan("A\n  A1\n  A2\nB\n  aside\nC");
        $note = static fn(string $title, string $text): callable => static fn(Plan $plan): Plan => $plan->with(
            $plan->topic(Build::id($plan, $title))->withNote(Build::note($text)),
        );
        foreach ([$note('A', 'one two'), $note('A1', 'three four five'), $note('aside', 'does not print')] as $change) {
            $plan = $change($plan);
        }
        $target = static fn(Plan $plan, string $title, int $words): Plan => $plan->with(
            $plan->topic(Build::id($plan, $title))->with(['target' => Target::of($words)]),
        );

        return $target($target($plan->with($plan->topic(Build::id($plan, 'aside'))->with(['kind' => Kind::Aside])), 'A1', 6), 'A2', 4);
    }

    public function testRolledUp(): void
    {
        $plan = $this->plan();
        $totals = WordTotals::of($plan);
        $of = static fn(string $title): array => [$totals->words(Build::id($plan, $title)), $totals->filled(Build::id($plan, $title))];
        self::assertSame([5, 0.5], $of('A'), 'No target of its own: the sum below, 6 + 4.');
        self::assertSame([3, 0.5], $of('A1'));
        self::assertSame([0, 0.0], $of('B'), 'An aside adds nothing.');
        self::assertSame([0, 0.0], $of('C'));
        self::assertSame(5, $totals->words(Plan::ROOT));
    }

    public function testStripSharesGoByTargetElseByWords(): void
    {
        $plan = $this->plan();
        $strip = Strip::of($plan, Numbering::of($plan), WordTotals::of($plan))->sections;
        self::assertSame([10, 1, 1], array_column($strip, 'share'));
        self::assertSame(['1', '2', '3'], array_column($strip, 'label'));
    }

    public function testTheTargetIsSharedOutToTheLastWord(): void
    {
        $plan = Build::plan("A\n  A1\n  A2\nB\nC")->withProperties(new Properties(target: Target::of(1003)));
        $plan = $plan->with($plan->topic(Build::id($plan, 'C'))->with(['target' => Target::of(203)]));
        $shares = TargetShares::of($plan);
        self::assertSame([Build::id($plan, 'A') => 600, Build::id($plan, 'B') => 200], $shares);
        self::assertSame([], TargetShares::of(Build::plan("A\nB")), 'Without a target there is nothing to share.');
    }
}
