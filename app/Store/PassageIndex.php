<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Attachment;
use App\Models\Plan as PlanRow;
use Embrel\Language\Tongue;
use Embrel\Prompt\Near\Passages;
use Embrel\RichText\Note;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Which words stand in which passages of a plan. It follows the log: nothing is done when a plan is changed; whoever asks
 * brings it up to the revision that the plan has then, with the topics and sources that were changed since.
 */
final class PassageIndex
{
    public const TITLE = 'title';
    public const NOTE = 'note';
    public const SOURCE = 'source';
    public const PAGE = 'page';

    /** Of the rules: with others all is read anew. */
    private const VERSION = 1;
    private const CHUNK = 200;
    private const ROWS = 1_000;
    /** Files that are text are pages that were kept. */
    private const TEXT = 'text/plain';
    /** In bytes: more of a page is not read. */
    private const PAGE_READ = 2_000_000;

    /** @param float $until a moment (microtime) after which the rest waits for the next who asks */
    public function __construct(private readonly float $until) {}

    /**
     * Brings the index of plans up to what they are now, the first first.
     *
     * @param iterable<PlanRow> $plans
     *
     * @return int how many of them are not there yet
     */
    public function follow(iterable $plans): int
    {
        $plans = [...$plans];
        $known = DB::table('passage_plans')->whereIn(
            'plan_id',
            array_map(static fn(PlanRow $plan): string => $plan->id, $plans),
        )->get()->keyBy('plan_id');
        $files = $this->filesAhead(array_values(array_map(static fn(PlanRow $plan): string => $plan->id, $plans)));
        $late = 0;
        foreach ($plans as $plan) {
            $state = $known->get($plan->id);
            $isThere = $state !== null && (int) $state->revision === $plan->revision && $state->read_as === self::readAs($plan);
            if (!$isThere || isset($files[$plan->id])) {
                $late += $this->followed($plan) ? 0 : 1;
            }
        }

        return $late;
    }

    /** What stands for a word in the index. */
    public static function sign(string $stem): int
    {
        return crc32($stem);
    }

    private static function readAs(PlanRow $plan): string
    {
        return self::VERSION . ' ' . $plan->language;
    }

    /**
     * Plans that have files which are not as the index has them: none of their passages, or passages of files that were taken off.
     *
     * @param list<string> $plans
     *
     * @return array<string, true>
     */
    private function filesAhead(array $plans): array
    {
        $ahead = self::files()
            ->whereIn('attachments.plan_id', $plans)
            ->where(static fn(Builder $either) => $either
                ->where(static fn(Builder $new) => $new->whereNull('attachments.removed_at')->whereNull('passages.thing'))
                ->orWhere(static fn(Builder $gone) => $gone->whereNotNull('attachments.removed_at')->whereNotNull('passages.thing')));

        return array_fill_keys(array_map(strval(...), $ahead->pluck('attachments.plan_id')->all()), true);
    }

    /** Files that are text, with their passages. */
    private static function files(): Builder
    {
        return DB::table('attachments')
            ->leftJoin('passage_plans', 'passage_plans.plan_id', '=', 'attachments.plan_id')
            ->leftJoin('passages', static fn($join) => $join
                ->on('passages.plan', 'passage_plans.number')
                ->on('passages.thing', 'attachments.id'))
            ->where('attachments.type', self::TEXT);
    }

    /** @return bool whether all of the plan is in the index now */
    private function followed(PlanRow $plan): bool
    {
        DB::table('passage_plans')->insertOrIgnore(['plan_id' => $plan->id]);
        while (microtime(true) < $this->until) {
            // Where another is at it, the index is what it is.
            $isDone = Transaction::of(function () use ($plan): ?bool {
                $state = DB::table('passage_plans')->where('plan_id', $plan->id)->lock('for update skip locked')->first();

                return $state === null ? false : $this->further($plan, $state);
            });
            if ($isDone !== null) {
                return $isDone;
            }
        }

        return false;
    }

    /** @return bool|null whether it is at its end; null: there is more to do */
    private function further(PlanRow $plan, \stdClass $state): ?bool
    {
        $number = (int) $state->number;
        if ($state->read_as !== self::readAs($plan)) {
            DB::table('passage_words')->where('plan', $number)->delete();
            DB::table('passages')->where('plan', $number)->delete();
            $state->revision = $state->goal = $state->last = $state->passages = $state->words = 0;
            $state->after = '';
        }
        $state->goal = $state->after === '' ? $plan->revision : $state->goal;
        $rows = DB::table('topics')
            ->leftJoin('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $plan->id)
            ->where('revision', '>', $state->revision)
            ->where('topics.id', '>', $state->after)
            ->orderBy('topics.id')
            ->limit(self::CHUNK)
            ->get(['topics.id', 'title', 'removed_at', 'body']);
        $texts = [];
        foreach ($rows as $row) {
            $texts[$row->id] = $row->removed_at === null ? [
                [self::TITLE, '', $row->title],
                ...self::blocks($row->body === null ? [] : Passages::ofNote(Note::fromJson($row->body))),
            ] : [];
        }
        $isEnd = \count($rows) < self::CHUNK;
        if ($isEnd) {
            $texts += $this->sources($plan, (int) $state->revision) + $this->pages($plan);
        }
        $this->write($state, $texts, Tongue::of($plan->language));
        DB::table('passage_plans')->where('number', $number)->update([
            'read_as' => self::readAs($plan),
            'revision' => $isEnd ? $state->goal : $state->revision,
            'goal' => $state->goal,
            'after' => $isEnd ? '' : $rows->last()?->id,
            'last' => $state->last,
            'passages' => $state->passages,
            'words' => $state->words,
        ]);

        return $isEnd ? true : null;
    }

    /**
     * @param array<string, string> $texts
     *
     * @return list<array{string, string, string}>
     */
    private static function blocks(array $texts): array
    {
        return array_map(
            static fn(string $block): array => [self::NOTE, $block, $texts[$block]],
            array_map(strval(...), array_keys($texts)),
        );
    }

    /** @return array<string, list<array{string, string, string}>> the sources that were changed after a revision */
    private function sources(PlanRow $plan, int $revision): array
    {
        $query = DB::table('sources')->where('sources.plan_id', $plan->id);
        if ($revision > 0) {
            $query->whereIn(
                'id',
                DB::table('operation_things')->where('plan_id', $plan->id)->where('seq', '>', $revision)->select('thing'),
            );
        }
        $texts = [];
        foreach ($query->get(['id', 'title', 'body', 'removed_at']) as $row) {
            $texts[$row->id] = $row->removed_at === null ? [[self::SOURCE, '', Passages::ofSource(PlanRows::source($row))]] : [];
        }

        return $texts;
    }

    /** @return array<string, list<array{string, string, string}>> the pages that were kept or taken off since they were read */
    private function pages(PlanRow $plan): array
    {
        $texts = [];
        $ids = self::files()->where('attachments.plan_id', $plan->id)->where(static fn(Builder $either) => $either
            ->whereNull('passages.thing')
            ->orWhereNotNull('attachments.removed_at'))->distinct()->pluck('attachments.id')->all();
        foreach (Attachment::query()->where('plan_id', $plan->id)->get()->whereIn('id', $ids) as $file) {
            $paragraphs = $file->removed_at === null ? self::paragraphs($file) : [];
            // One that says nothing is remembered as having been read.
            $texts[$file->id] = $file->removed_at === null ? array_map(
                static fn(int $i, string $text): array => [self::PAGE, (string) $i, $text],
                array_keys($paragraphs ?: ['']),
                $paragraphs ?: [''],
            ) : [];
        }

        return $texts;
    }

    /** @return list<string> of a page that was kept; none where its bytes are not at hand */
    public static function paragraphs(Attachment $file): array
    {
        $in = Attachments::open($file);

        return $in === null ? [] : Passages::ofPage((string) stream_get_contents($in, self::PAGE_READ));
    }

    /**
     * Passages as they are now, in the place of those that were; what says the same stays.
     *
     * @param array<string, list<array{string, string, string}>> $texts thing → kind, block and text of each of its passages
     */
    private function write(\stdClass $state, array $texts, Tongue $tongue): void
    {
        $number = (int) $state->number;
        $gone = [];
        foreach (array_chunk(array_map(strval(...), array_keys($texts)), self::ROWS) as $things) {
            foreach (DB::table('passages')->where('plan', $number)->whereIn('thing', $things)->get() as $row) {
                $gone["{$row->thing} {$row->kind} {$row->block}"] = $row;
            }
        }
        $passages = $words = [];
        foreach ($texts as $thing => $of) {
            foreach ($of as [$kind, $block, $text]) {
                $print = crc32($text) << 24 ^ \strlen($text);
                $key = "{$thing} {$kind} {$block}";
                if ((int) ($gone[$key]->print ?? -1) === $print) {
                    unset($gone[$key]);
                    continue;
                }
                $signs = [];
                foreach ($tongue->stems($text) as $stem => $times) {
                    $signs[self::sign((string) $stem)] = min(255, $times);
                }
                $length = min(65_535, array_sum($signs));
                $passage = ++$state->last;
                array_push($passages, [$number, $passage, $kind, $thing, $block, $print, $length, pack('V*', ...array_keys($signs))]);
                foreach ($signs as $sign => $times) {
                    $words[] = "({$number},{$sign},{$passage},{$times},{$length})";
                }
                ++$state->passages;
                $state->words += $length;
            }
        }
        foreach ($gone as $row) {
            --$state->passages;
            $state->words -= $row->words;
            $signs = array_values(unpack('V*', $row->stems) ?: []);
            DB::table('passage_words')->where('plan', $number)->where('passage', $row->passage)->whereIn('word', $signs)->delete();
        }
        foreach (array_chunk(array_column($gone, 'passage'), self::ROWS) as $chunk) {
            DB::table('passages')->where('plan', $number)->whereIn('passage', $chunk)->delete();
        }
        foreach (array_chunk($passages, self::CHUNK) as $chunk) {
            $marks = implode(',', array_fill(0, \count($chunk), '(?,?,?,?,?,?,?,?)'));
            DB::insert("INSERT INTO passages VALUES {$marks}", array_merge(...$chunk));
        }
        // Numbers of our own alone, in the order of the index.
        sort($words);
        foreach (array_chunk($words, 4 * self::ROWS) as $chunk) {
            DB::unprepared('INSERT INTO passage_words VALUES ' . implode(',', $chunk));
        }
    }
}
