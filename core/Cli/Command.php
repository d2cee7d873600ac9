<?php

declare(strict_types=1);

namespace Embrel\Cli;

use Embrel\Archive\Shelf;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\MapChoices;
use Embrel\Draft\ShowChoices;
use Embrel\Fonts\PackagedFonts;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Sheets;
use Embrel\Layout\Map\Style;
use Embrel\Plan\Scheme;
use Embrel\Reader;
use Embrel\Writer;

/** The command line: convert and inspect. Exit 0; 1 for a file that cannot be read or written; 2 for wrong usage. */
final class Command
{
    /** @param list<string> $arguments without the name of the program */
    public static function run(array $arguments): int
    {
        try {
            $options = self::options($arguments);
            match ([$arguments[0] ?? '', \count($options['files'])]) {
                ['convert', 2] => self::convert($options['files'][0], $options['files'][1], $options['reading'], $options['choices']),
                ['inspect', 1] => self::inspect($options['files'][0], $options['reading']),
                default => throw new Usage(),
            };

            return 0;
        } catch (Usage $usage) {
            fwrite(STDERR, ($usage->getMessage() === '' ? '' : $usage->getMessage() . "\n") . Usage::TEXT . "\n");

            return 2;
        } catch (\RuntimeException|\InvalidArgumentException $why) {
            fwrite(STDERR, 'embrel: ' . $why->getMessage() . "\n");

            return 1;
        }
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{files: list<string>, reading: array{stripNumbers?: true, descriptions?: true, lists?: true}, choices: Choices}
     */
    private static function options(array $arguments): array
    {
        $files = $reading = $choices = $draft = $map = $look = $show = [];
        foreach (\array_slice($arguments, 1) as $argument) {
            [$name, $value] = explode('=', $argument, 2) + [1 => ''];
            match (true) {
                !str_starts_with($argument, '--') => $files[] = $argument,
                $argument === '--strip-numbers' => $reading['stripNumbers'] = true,
                $argument === '--descriptions' => $reading['descriptions'] = true,
                $argument === '--lists' => $reading['lists'] = true,
                $argument === '--no-notes' => $choices['notes'] = false,
                $argument === '--no-contents' => $draft['contents'] = false,
                $argument === '--signs' => $draft['signs'] = true,
                $name === '--contents-depth' => $draft['contentsDepth'] = self::depth($value),
                $name === '--arrangement' => $look['arrangement'] = Arrangement::tryFrom($value)
                    ?? throw new Usage("There is no arrangement called “{$value}”."),
                $name === '--style' && Style::tryFrom($value) !== null => $look['style'] = Style::from($value),
                $name === '--style' => [$look['own'], $map['back']] = self::ownStyle($value),
                $name === '--paper' => $map['paper'] = isset(Sheets::PAPERS[$value])
                    ? $value
                    : throw new Usage("There is no paper called “{$value}”."),
                $argument === '--sheets' => $map['severalSheets'] = true,
                $argument === '--fonts' => $map['embedsFonts'] = true,
                $name === '--scale' => $map['scale'] = preg_match('/\A[1-4]\z/', $value) === 1
                    ? (int) $value
                    : throw new Usage("A picture is 1 to 4 times as large, not “{$value}”."),
                $argument === '--no-ground' => $map['ground'] = false,
                $name === '--numbering' => $choices['scheme'] = Scheme::tryFrom($value)
                    ?? throw new Usage("There is no numbering called “{$value}”."),
                $name === '--number-depth' => $choices['numberDepth'] = self::depth($value),
                $name === '--levels' => $show['levels'] = self::depth($value),
                $argument === '--each-line' => $show['eachStep'] = true,
                $name === '--on-a-sheet' => $show['sheet'] = \in_array((int) $value, ShowChoices::SHEET, true)
                    ? (int) $value
                    : throw new Usage("On a sheet are 2, 4 or 6, not “{$value}”."),
                $name === '--heading-depth' => $draft['headingDepth'] = self::depth($value),
                default => throw new Usage("There is no option “{$argument}”."),
            };
        }

        $choices += [
            'draft' => new DraftChoices(...$draft),
            'map' => new MapChoices(...$map, look: new Look(...$look)),
            'show' => new ShowChoices(...$show),
        ];

        return ['files' => $files, 'reading' => $reading, 'choices' => new Choices(...$choices)];
    }

    /** @return array{Dress, string|null} from a file: the style, and the picture on its ground */
    private static function ownStyle(string $value): array
    {
        $file = is_file($value) ? file_get_contents($value) : false;

        return $file === false ? throw new Usage("There is no style called “{$value}”.") : DressFile::read($file);
    }

    private static function depth(string $value): int
    {
        return preg_match('/\A[1-9]\z/', $value) === 1 ? (int) $value : throw new Usage("A depth is between 1 and 9, not “{$value}”.");
    }

    /** @param array{stripNumbers?: true, descriptions?: true, lists?: true} $reading */
    private static function read(string $path, array $reading, string $work, Shelf $shelf): Result
    {
        $format = Reader\Format::ofPath($path);
        $in = is_file($path) ? @fopen($path, 'r') : false;
        if ($in === false) {
            throw Reader\Unreadable::noAccess($path);
        }
        $title = pathinfo($path, PATHINFO_FILENAME);

        return $format->read($in, new Options(mb_scrub($title), ...$reading), new CountedIds(), $work, $shelf);
    }

    /**
     * Does something with a folder of its own, which is gone afterwards.
     *
     * @param \Closure(string): void $do
     */
    private static function within(\Closure $do): void
    {
        $work = sys_get_temp_dir() . '/embrel-' . bin2hex(random_bytes(8));
        if (!mkdir($work, 0700)) {
            throw new \RuntimeException('No work folder could be made.');
        }
        try {
            $do($work);
        } finally {
            array_map(unlink(...), glob("{$work}/*") ?: []);
            rmdir($work);
        }
    }

    /** @param array{stripNumbers?: true, descriptions?: true, lists?: true} $reading */
    private static function convert(string $input, string $output, array $reading, Choices $choices): void
    {
        $format = Writer\Format::ofPath($output)
            ?? throw new Usage("“{$output}” has none of the extensions " . Writer\Format::extensions() . '.');
        self::within(static function (string $work) use ($input, $output, $reading, $choices, $format): void {
            $shelf = new Shelf($work);
            $result = self::read($input, $reading, $work, $shelf);
            // Beside the output, so that it takes its place in one step: nothing half-written is ever there.
            $partial = $output . '.' . bin2hex(random_bytes(4)) . '.part';
            $out = @fopen($partial, 'w');
            if ($out === false) {
                throw new \RuntimeException("“{$output}” cannot be written.");
            }
            try {
                $losses = $format->writer(PackagedFonts::ofPackages())->write($result->plan, $choices->withPictures($shelf), $out, $work);
                if (!fclose($out) || !rename($partial, $output)) {
                    throw new \RuntimeException("“{$output}” cannot be written.");
                }
                self::say([...$result->repairs, ...$losses]);
            } finally {
                is_file($partial) ? unlink($partial) : null;
            }
        });
    }

    /** @param list<string> $sentences */
    private static function say(array $sentences): void
    {
        foreach ($sentences as $sentence) {
            fwrite(STDERR, "{$sentence}\n");
        }
    }

    /** @param array{stripNumbers?: true, descriptions?: true, lists?: true} $reading */
    private static function inspect(string $path, array $reading): void
    {
        self::within(static function (string $work) use ($path, $reading): void {
            $result = self::read($path, $reading, $work, new Shelf($work));
            self::say($result->repairs);
            $options = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR;
            fwrite(STDOUT, json_encode(Facts::of($result->plan), $options) . "\n");
        });
    }
}
