<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Plan\Plan;

/** Which topic of a file that came back is which topic of the plan: by its bookmark, else by its title and text. */
final readonly class Matches
{
    /** How much of two texts must be the same words for them to be the same section. */
    private const ALIKE = 0.45;
    private const SIGNS = 4;

    /**
     * @param array<string, string> $here topic of the file → topic of the plan
     * @param array<string, float>  $sure topic of the file → how sure that is, from 0 to 1
     */
    private function __construct(public array $here, public array $sure) {}

    /** @param array<string, string> $came the id that the file carried → the topic that was read there */
    public static function of(Plan $plan, Plan $file, array $came): self
    {
        $here = $sure = [];
        foreach ($came as $was => $now) {
            if ($plan->has((string) $was) && $plan->isLive((string) $was) && !isset($here[$now])) {
                $here[$now] = (string) $was;
                $sure[$now] = 1.0;
            }
        }
        $taken = array_flip($here);
        $titles = [];
        foreach ($plan->walk() as $id => $_) {
            isset($taken[$id]) || ($titles[self::folded($plan->topic($id)->title)][] = $id);
        }
        // The same title: sure where the plan has it once, and where it stands under the same section.
        foreach ($file->walk() as $id => $_) {
            $title = self::folded($file->topic($id)->title);
            $found
                = isset($here[$id]) || $title === ''
                    ? []
                    : array_values(array_filter($titles[$title] ?? [], static fn(string $one): bool => !isset($taken[$one])));
            $above = $here[(string) $file->parent($id)] ?? null;
            $same = array_values(array_filter($found, static fn(string $one): bool => $plan->parent($one) === $above));
            $one = $same[0] ?? (\count($found) === 1 ? $found[0] : null);
            if ($one !== null) {
                [$here[$id], $sure[$id], $taken[$one]] = [$one, $same !== [] || \count($found) === 1 ? 0.9 : 0.7, $id];
            }
        }

        return self::byText($plan, $file, $here, $sure, $taken);
    }

    /**
     * Sections that are called otherwise now, by the words of their notes.
     *
     * @param array<string, string> $here
     * @param array<string, float>  $sure
     * @param array<string, mixed>  $taken
     */
    private static function byText(Plan $plan, Plan $file, array $here, array $sure, array $taken): self
    {
        $texts = [];
        foreach ($plan->walk() as $id => $_) {
            $words = isset($taken[$id]) ? [] : self::words((string) $plan->topic($id)->note?->plainText());
            \count($words) >= self::SIGNS ? ($texts[$id] = $words) : null;
        }
        foreach ($file->walk() as $id => $_) {
            $words = isset($here[$id]) || $texts === [] ? [] : self::words((string) $file->topic($id)->note?->plainText());
            $best = null;
            $most = self::ALIKE;
            foreach (\count($words) >= self::SIGNS ? $texts : [] as $one => $other) {
                $alike = \count(array_intersect_key($words, $other)) / max(1, \count($words + $other));
                if ($alike > $most) {
                    [$best, $most] = [(string) $one, $alike];
                }
            }
            if ($best !== null) {
                [$here[$id], $sure[$id]] = [$best, round($most * 0.9, 2)];
                unset($texts[$best]);
            }
        }

        return new self($here, $sure);
    }

    /** @return array<string, true> the words of a text, each with the one behind it */
    private static function words(string $text): array
    {
        $words = preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $pairs = [];
        foreach ($words as $i => $word) {
            $pairs[$word . ' ' . ($words[$i + 1] ?? '')] = true;
        }

        return $pairs;
    }

    private static function folded(string $title): string
    {
        return trim((string) preg_replace(['/\A(?:[\d.]+|[IVXLC]+\.|[A-Z]\.)\s+/u', '/\s+/u'], ['', ' '], mb_strtolower($title)));
    }
}
