<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Origin;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\WayBack\Acceptance;
use Embrel\Intake\WayBack\Change;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Intake\WayBack\OpenChanges;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\Writer\Format as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;
use Tests\Core\Build\Reports;

/**
 * Drafts that were changed at random in a word processor come home: taken in whole, the plan says what
 * the document says, no citation or reference is lost, and there is nothing left to say.
 *
 * More of them by hand: EMBREL_DRAFTS=100, and EMBREL_DRAFTS_SEED for others.
 */
final class HomecomingTest extends TestCase
{
    private const KINDS = [
        'retitle',
        'retitle_front',
        'rewrite',
        'rewrite_whole',
        'delete',
        'add',
        'add_heading',
        'delete_heading',
        'delete_section',
        'move_section',
        'level_change',
        'bold',
        'table_cell',
        'table_row',
        'list_item',
        'footnote',
        'add_footnote',
        'heading_of_paragraph',
        'find_and_replace',
        'split',
        'list_level',
        'move_paragraph',
        'copy_paragraph',
    ];

    /** @return iterable<string, array{string, string, bool}> */
    public static function ways(): iterable
    {
        yield 'docx' => ['docx', 'docx', true];
        yield 'odt' => ['odt', 'odt', true];
        yield 'docx that is saved as odt' => ['docx', 'odt', true];
        yield 'odt that is saved as docx' => ['odt', 'docx', true];
    }

    #[DataProvider('ways')]
    public function testDraftsThatWereChangedElsewhereComeHome(string $from, string $to, bool $isMarked): void
    {
        $count = (int) (getenv('EMBREL_DRAFTS') ?: 6);
        $first = (int) (getenv('EMBREL_DRAFTS_SEED') ?: 1);
        $folder = sys_get_temp_dir() . '/embrel-home-' . bin2hex(random_bytes(6));
        mkdir($folder);
        $jobs = $plans = [];
        foreach (range($first, $first + $count - 1) as $seed) {
            $plans[$seed] = Reports::random($seed);
            file_put_contents("{$folder}/{$seed}.{$from}", self::written(Writing::from($from), $plans[$seed], $isMarked));
            $jobs[] = [
                'in' => "{$folder}/{$seed}.{$from}",
                'out' => "{$folder}/{$seed}-back.{$to}",
                'seed' => $seed,
                'edits' => 1 + ($seed % 4),
                'kinds' => getenv('EMBREL_DRAFTS_KIND') ? explode(',', (string) getenv('EMBREL_DRAFTS_KIND')) : self::KINDS,
            ];
        }
        $said = self::edited($folder, $jobs);
        $wrong = [];
        foreach (array_keys($plans) as $i => $seed) {
            $edits = json_decode($said[$i] ?? '', true);
            $what = "{$from} to {$to}, draft {$seed}: " . json_encode($edits, JSON_UNESCAPED_UNICODE);
            $failed = $this->comesHome(
                $plans[$seed],
                Reading::from($to),
                (string) file_get_contents("{$folder}/{$seed}-back.{$to}"),
                \is_array($edits) ? $edits : [],
            );
            $failed === [] ? null : ($wrong[$what] = $failed);
        }
        getenv('EMBREL_DRAFTS_KEEP') ? null : exec('rm -rf ' . escapeshellarg($folder));
        self::assertSame([], $wrong);
    }

    /** @return iterable<string, array{string, list<string>}> format, and what is done while changes are recorded */
    public static function recorded(): iterable
    {
        yield 'docx' => ['docx', ['retitle', 'rewrite', 'delete', 'add', 'add_heading', 'delete_heading', 'table_cell', 'list_item']];
        // There what was deleted stands apart from where it was, whole paragraphs without what they were.
        yield 'odt' => ['odt', ['retitle', 'rewrite', 'add', 'add_heading', 'table_cell', 'list_item']];
    }

    /** @param list<string> $kinds */
    #[DataProvider('recorded')]
    public function testChangesThatWereRecordedAreOfferedByThemselves(string $kind, array $kinds): void
    {
        $count = (int) (getenv('EMBREL_DRAFTS') ?: 5);
        $first = (int) (getenv('EMBREL_DRAFTS_SEED') ?: 1);
        $folder = sys_get_temp_dir() . '/embrel-home-' . bin2hex(random_bytes(6));
        mkdir($folder);
        $jobs = $plans = [];
        foreach (range($first, $first + $count - 1) as $seed) {
            $plans[$seed] = Reports::random($seed);
            file_put_contents("{$folder}/{$seed}.{$kind}", self::written(Writing::from($kind), $plans[$seed], true));
            $jobs[] = [
                'in' => "{$folder}/{$seed}.{$kind}",
                'out' => "{$folder}/{$seed}-back.{$kind}",
                'seed' => $seed,
                'edits' => 1 + ($seed % 3),
                'kinds' => $kinds,
                'record' => true,
            ];
        }
        $said = self::edited($folder, $jobs);
        $wrong = [];
        foreach (array_keys($plans) as $i => $seed) {
            $what = "draft {$seed}: " . ($said[$i] ?? '');
            $file = (string) file_get_contents("{$folder}/{$seed}-back.{$kind}");
            $read = self::read(Reading::from($kind), $file);
            OpenChanges::areIn($read->heard) ? null : ($wrong[$what][] = 'nothing recorded');
            $settled = self::compared($plans[$seed], self::read(Reading::from($kind), $file, true), $plans[$seed]);
            foreach ($settled->changes as $change) {
                $wrong[$what][] = 'settled: ' . json_encode($change->toArray(), JSON_UNESCAPED_UNICODE);
            }
            $open = self::compared($plans[$seed], $read, $plans[$seed]);
            $offered = (new OpenChanges($settled, $open, $read->heard))->toArray();
            $offered === [] ? ($wrong[$what][] = 'nothing offered') : null;
            $after = OpenChanges::accepted(
                $settled,
                array_column($offered, 'key'),
                new CountedIds('05'),
                static fn(Plan $now): Comparison => self::compared($now, $read, $plans[$seed]),
            )->apply($plans[$seed]);
            foreach (array_diff(self::said($open->file, $open), self::said($after, $open)) as $line) {
                $wrong[$what][] = $line;
            }
        }
        exec('rm -rf ' . escapeshellarg($folder));
        self::assertSame([], $wrong);
    }

    /** What was not changed says nothing, though the word processor saved it as another kind and every hidden mark is gone. */
    #[DataProvider('ways')]
    public function testWithoutItsHiddenMarksAnUnchangedDraftSaysNothing(string $from, string $to): void
    {
        $folder = sys_get_temp_dir() . '/embrel-home-' . bin2hex(random_bytes(6));
        mkdir($folder);
        $jobs = $plans = [];
        foreach ([1, 3, 4] as $seed) {
            $plans[$seed] = Reports::random($seed);
            file_put_contents("{$folder}/{$seed}.{$from}", self::written(Writing::from($from), $plans[$seed], false));
            $jobs[] = [
                'in' => "{$folder}/{$seed}.{$from}",
                'out' => "{$folder}/{$seed}-back.{$to}",
                'seed' => $seed,
                'edits' => 0,
                'kinds' => [],
            ];
        }
        self::edited($folder, $jobs);
        foreach ($plans as $seed => $plan) {
            $parts = Package::parts((string) file_get_contents("{$folder}/{$seed}-back.{$to}"));
            foreach (['word/document.xml', 'content.xml'] as $part) {
                isset($parts[$part])
                    ? ($parts[$part] = (string) preg_replace('#<(?:w:bookmark(?:Start|End)|text:bookmark)[^>]*/>#', '', $parts[$part]))
                    : null;
            }
            $read = self::read(Reading::from($to), Package::zip($parts));
            self::assertSame(
                [],
                array_map(static fn(Change $change): array => $change->toArray(), Comparison::of($plan, $read->plan, $read->came)->changes),
                "{$from} to {$to}, draft {$seed}",
            );
        }
        exec('rm -rf ' . escapeshellarg($folder));
    }

    #[DataProvider('ownKinds')]
    public function testTheLargestDraftOfOursIsReadAgain(string $kind): void
    {
        $plan = Build::plan(
            implode("\n", array_map(static fn(int $i): string => ($i % 50 === 0 ? '' : '  ') . "Topic {$i}", range(0, Limits::TOPICS - 1))),
            new CountedIds('01'),
        );
        $read = self::read(Reading::from($kind), self::written(Writing::from($kind), $plan, true));
        self::assertCount(Limits::TOPICS, $read->came);
        self::assertSame([], self::compared($plan, $read, $plan)->changes);
    }

    /** @return iterable<string, array{string}> */
    public static function ownKinds(): iterable
    {
        yield 'docx' => ['docx'];
        yield 'odt' => ['odt'];
    }

    /**
     * @param list<array{string, string, string}> $edits
     *
     * @return list<string> what is not as it should be
     */
    private function comesHome(Plan $plan, Reading $format, string $file, array $edits): array
    {
        $read = self::read($format, $file);
        $comparison = self::compared($plan, $read, $plan);
        $wrong = [];
        foreach ($edits as [$kind, $expected, $title]) {
            // What is a paragraph to a word processor may be a point or a quotation of the plan.
            $found = array_filter(
                $comparison->changes,
                static fn(Change $change): bool => $change->kind === $expected
                    || ($expected === Change::REWRITTEN
                        && \in_array($change->kind, [Change::RETITLED, Change::REMOVED, Change::ADDED], true)),
            );
            $expected === '' || $found !== [] || \count($edits) > 1
                ? null
                : ($wrong[]
                    = "{$kind}: nothing was {$expected}, but "
                    . json_encode(
                        array_map(static fn(Change $change): array => $change->toArray(), $comparison->changes),
                        JSON_UNESCAPED_UNICODE,
                    ));
        }
        $after = Acceptance::of(
            $comparison,
            array_map(static fn(Change $change): string => $change->key(), $comparison->changes),
            new CountedIds('05'),
        )->apply($plan);
        [$is, $should] = [self::said($after, $comparison), self::said($comparison->file, $comparison)];
        if ($is !== $should) {
            $more = array_map(static fn(string $line): string => "not: {$line}", array_diff($is, $should));
            array_push($wrong, ...array_diff($should, $is), ...$more);
        }
        $is !== $should && array_diff($should, $is) === [] && array_diff($is, $should) === []
            ? ($wrong[] = 'another order: ' . implode(' / ', $is) . ' — ' . implode(' / ', $should))
            : null;
        foreach (self::compared($after, $read, $plan)->changes as $change) {
            $wrong[] = 'still: ' . json_encode($change->toArray(), JSON_UNESCAPED_UNICODE);
        }

        return $wrong;
    }

    /**
     * Lets the word processor do what is asked.
     *
     * @param list<array<string, mixed>> $jobs see edit-drafts.py
     *
     * @return list<string> what it did in each, as JSON
     */
    private static function edited(string $folder, array $jobs): array
    {
        file_put_contents("{$folder}/jobs.json", json_encode($jobs, JSON_THROW_ON_ERROR));
        exec('/usr/bin/python3 ' . escapeshellarg(__DIR__ . '/edit-drafts.py') . " < {$folder}/jobs.json 2>&1", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));

        return $said;
    }

    private static function compared(Plan $plan, Result $read, Plan $then): Comparison
    {
        return Comparison::of($plan, $read->plan, $read->came, $then, $read->typed, $read->origin);
    }

    private static function written(Writing $format, Plan $plan, bool $isMarked): string
    {
        $work = sys_get_temp_dir() . '/embrel-home-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $format->writer()->write($plan, new Choices(
            draft: new DraftChoices(headingDepth: 9, marks: $isMarked, origin: new Origin(Build::ulid(1), 7)),
        ), $out, $work);
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));

        return (string) stream_get_contents($out);
    }

    private static function read(Reading $format, string $file, bool $refusesRecorded = false): Result
    {
        return Build::intake(
            $format,
            $file,
            new Options('', firstIsTitle: false, references: false, refusesRecorded: $refusesRecorded),
            new CountedIds('07'),
        );
    }

    /** @return list<string> what a plan says, a line a topic: how deep it stands, its title, its text */
    private static function said(Plan $plan, Comparison $comparison): array
    {
        $lines = [];
        foreach ($plan->walk() as $id => $level) {
            $topic = $plan->topic($id);
            $title = $plan === $comparison->file ? $comparison->title($id) : $topic->title;
            $lines[] = "{$level} {$title}: " . strtr($comparison->saying->note($topic->note), ["\n" => ' | ']);
        }

        return $lines;
    }
}
