<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Draft\Choices;
use Embrel\Fonts\PackagedFonts;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;
use Embrel\Writer\Format;

/** A plan on its way out as a file. */
final class HandedOver
{
    /** Topics, words, and pictures, from which on a hand-over goes through the queue. */
    private const MANY_TOPICS = 5_000;
    private const MANY_WORDS = 60_000;
    private const MANY_PICTURES = 60;

    public static function isLong(Plan $plan): bool
    {
        $words = $pictures = 0;
        foreach ($plan->topics as $topic) {
            $words += $topic->words;
            $pictures += $topic->picture === null ? 0 : 1;
            $pictures += $topic->note === null ? 0 : iterator_count($topic->note->find(NodeType::Picture));
        }

        return \count($plan->topics) > self::MANY_TOPICS || $words > self::MANY_WORDS || $pictures > self::MANY_PICTURES;
    }

    /** How many topics make a beginning of less than a hundred pages; null where the whole is hardly more. */
    public static function beginning(Plan $plan): ?int
    {
        $words = $topics = 0;
        $seen = null;
        foreach ($plan->walk() as $id => $_) {
            $words += 4 + $plan->topic($id)->words;
            ++$topics;
            $seen ??= $words > self::MANY_WORDS / 4 || $topics > self::MANY_TOPICS / 4 ? $topics : null;
        }

        return $words > self::MANY_WORDS || $topics > self::MANY_TOPICS ? $seen : null;
    }

    /** About how many bytes are to be written of plans with so many topics and words. */
    public static function weight(int $topics, int $words): int
    {
        return 200 * $topics + 10 * $words;
    }

    public static function name(Plan $plan, Choices $choices, Format $format): string
    {
        return WorkFolder::fileName($choices->from === Plan::ROOT ? $plan->title() : $plan->topic($choices->from)->title)
            . '.'
            . $format->extension();
    }

    /**
     * @param resource $out
     *
     * @return list<string>
     */
    public static function write(Plan $plan, Choices $choices, Format $format, $out): array
    {
        return WorkFolder::with(
            static fn(string $folder): array => $format->writer(PackagedFonts::ofPackages())->write($plan, $choices, $out, $folder),
        );
    }
}
