<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Archive\Shelf;
use Embrel\Difference\Difference;
use Embrel\Id\CountedIds;
use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Plan\Plan;
use Embrel\Reader\Format;
use Embrel\Reader\TextOutline\TextReader;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/** Makes plans and notes so that a test reads like what it makes. */
final class Build
{
    /** A plan from indented text, two spaces a level. */
    public static function plan(string $outline, ?Ids $ids = null): Plan
    {
        return self::read($outline, new Options('Test plan'), $ids)->plan;
    }

    public static function read(string $outline, Options $options, ?Ids $ids = null): Result
    {
        return (new TextReader())->read(self::stream($outline), $options, $ids ?? new CountedIds());
    }

    /**
     * Takes a file in, as everything does that takes files in.
     *
     * @param resource|string $file
     */
    public static function intake(Format $format, $file, ?Options $options = null, ?Ids $ids = null): Result
    {
        $work = sys_get_temp_dir() . '/embrel-intake-' . bin2hex(random_bytes(6));
        mkdir($work);
        try {
            return $format->read(
                \is_string($file) ? self::stream($file) : $file,
                $options ?? new Options(),
                $ids ?? new CountedIds(),
                $work,
                new Shelf($work),
            );
        } finally {
            exec('rm -rf ' . escapeshellarg($work));
        }
    }

    /** @return resource */
    public static function stream(string $content)
    {
        $stream = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        fwrite($stream, $content);
        rewind($stream);

        return $stream;
    }

    public static function id(Plan $plan, string $title): string
    {
        foreach ($plan->topics as $id => $topic) {
            if ($topic->title === $title) {
                return $id;
            }
        }

        throw new \OutOfBoundsException("There is no topic “{$title}”.");
    }

    /** The plan before again, by what was done to it. */
    public static function back(Plan $before, Plan $after): Plan
    {
        return Difference::between($before, $after)->reversed()->in($after);
    }

    /** The tree as indented text, for comparing. */
    public static function outline(Plan $plan, string $home = Plan::ROOT): string
    {
        $lines = [];
        foreach ($plan->walk($home) as $id => $level) {
            $lines[] = str_repeat('  ', $level - 1) . $plan->topic($id)->title;
        }

        return implode("\n", $lines);
    }

    public static function note(string ...$paragraphs): Note
    {
        $ids = new CountedIds('02');

        return Note::of(array_map(static fn(string $text): Node => Node::plain($text, $ids->next()), $paragraphs));
    }

    public static function ulid(int $n): string
    {
        return '03' . str_pad((string) $n, 24, '0', STR_PAD_LEFT);
    }

    /** @return resource|null a file of the shared samples, or null where they are not at hand */
    public static function sample(string $path)
    {
        $folder = getenv('EMBREL_SAMPLES');
        $file = $folder === false ? '' : "{$folder}/{$path}";

        return is_file($file) ? (fopen($file, 'r') ?: null) : null;
    }
}
