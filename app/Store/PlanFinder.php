<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Plan\Plan;
use Embrel\Search\Query;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Looks through all plans that a person may read: their titles, topics, notes and sources. All words must stand in one
 * of these, each as it is or as the beginning of a longer one.
 */
final class PlanFinder
{
    private const WORDS = 8;
    /** Of one plan, and in all. */
    private const SHOWN = 6;
    private const MOST = 400;
    /** In characters: what is shown around the first word. */
    private const BEFORE = 60;
    private const EXCERPT = 200;
    /** What the index of the database knows: words of three letters, beside those that it leaves out. */
    private const INDEXED = '/\A[\p{Latin}\p{Nd}]{3,}\z/u';
    private const LEFT_OUT = [
        ...['about', 'are', 'com', 'for', 'from', 'how', 'that', 'the', 'this'],
        ...['was', 'what', 'when', 'where', 'who', 'will', 'with', 'und', 'www'],
    ];

    /**
     * @return list<array{plan: PlanRow, hits: list<array{in: string, topic: string|null, title: string, text: list<string>}>, more: int}>
     *         the plans changed last first; in: title, topic, note or source; text: before the word, the word, after it
     */
    public function find(User $user, string $typed): array
    {
        $words = self::words($typed);
        /** @var array<string, PlanRow> $plans */
        $plans = Access::readable($user->id)->orderByDesc('changed_at')->get()->keyBy('id')->all();
        if ($words === [] || $plans === []) {
            return [];
        }
        $ids = array_map(strval(...), array_keys($plans));
        $hits = $found = [];
        foreach ([...$this->topics($ids, $words), ...$this->notes($ids, $words), ...$this->sources($ids, $words)] as $row) {
            $hits[$row->plan_id][] = self::hit($row, $words[0]);
        }
        foreach (array_intersect_key($plans, $hits) as $id => $plan) {
            $shown = \array_slice($hits[$id], 0, self::SHOWN);
            $found[] = ['plan' => $plan, 'hits' => $shown, 'more' => \count($hits[$id]) - \count($shown)];
        }

        return $found;
    }

    /** @return list<string> each once */
    private static function words(string $typed): array
    {
        $words = preg_split('/[^\p{L}\p{M}\p{N}]+/u', mb_substr(mb_scrub($typed), 0, 500), flags: PREG_SPLIT_NO_EMPTY) ?: [];

        return \array_slice(array_values(array_unique($words)), 0, self::WORDS);
    }

    /**
     * @param list<string> $plans
     * @param list<string> $words
     *
     * @return list<\stdClass>
     */
    private function topics(array $plans, array $words): array
    {
        $query = DB::table('topics')->whereIn('plan_id', $plans)->whereNull('removed_at');

        // The plan itself before its topics.
        return self::listed(
            self::holding($query, 'title', $words)
                ->limit(self::MOST)
                ->select(['plan_id', 'id as topic', 'title', DB::raw("'topic' AS place"), 'title as text'])
                ->orderByRaw('id = ? DESC', [Plan::ROOT]),
        );
    }

    /**
     * @param list<string> $plans
     * @param list<string> $words
     *
     * @return list<\stdClass>
     */
    private function notes(array $plans, array $words): array
    {
        $indexed = array_values(array_filter($words, self::isIndexed(...)));
        $query = DB::table('notes')
            ->join('topics', static fn($join) => $join
                ->on('topics.plan_id', 'notes.plan_id')
                ->on('topics.id', 'notes.topic_id'))
            ->whereIn('notes.plan_id', $plans)
            ->whereNull('removed_at');
        if ($indexed !== []) {
            $asked = implode(' ', array_map(static fn(string $word): string => "+{$word}*", $indexed));
            $query->whereRaw('MATCH (notes.plain) AGAINST (? IN BOOLEAN MODE)', [$asked]);
        }

        // Of a long note only what stands around the word.
        $around = 'SUBSTRING(notes.plain, GREATEST(1, LOCATE(?, notes.plain) - ?), ?) AS text';

        return self::listed(
            self::holding($query, 'notes.plain', array_values(array_diff($words, $indexed)))
                ->limit(self::MOST)
                ->select(['notes.plan_id', 'topics.id as topic', 'topics.title', DB::raw("'note' AS place")])
                ->selectRaw($around, [$words[0], self::BEFORE, self::EXCERPT]),
        );
    }

    /**
     * @param list<string> $plans
     * @param list<string> $words
     *
     * @return list<\stdClass>
     */
    private function sources(array $plans, array $words): array
    {
        $query = DB::table('sources')->whereIn('plan_id', $plans)->whereNull('removed_at');
        foreach ($words as $word) {
            $query->where(static fn(Builder $either) => $either
                ->where('title', 'like', self::like($word))
                ->orWhere('body', 'like', self::like($word)));
        }

        return self::listed(
            $query
                ->limit(self::MOST)
                ->select(['plan_id', DB::raw('NULL AS topic'), 'title', DB::raw("'source' AS place"), 'title as text']),
        );
    }

    /** @return list<\stdClass> */
    private static function listed(Builder $query): array
    {
        return array_values($query->get()->all());
    }

    /** @param list<string> $words */
    private static function holding(Builder $query, string $column, array $words): Builder
    {
        foreach ($words as $word) {
            $query->where($column, 'like', self::like($word));
        }

        return $query;
    }

    private static function like(string $word): string
    {
        return '%' . addcslashes($word, '%_\\') . '%';
    }

    private static function isIndexed(string $word): bool
    {
        return preg_match(self::INDEXED, $word) === 1 && !\in_array(mb_strtolower($word), self::LEFT_OUT, true);
    }

    /** @return array{in: string, topic: string|null, title: string, text: list<string>} */
    private static function hit(\stdClass $row, string $word): array
    {
        $text = trim(preg_replace('/\s+/u', ' ', (string) $row->text) ?? '');
        if (mb_strlen($text) >= self::EXCERPT - 5) {
            // Cut out of a longer one: words at its ends are whole, or not there.
            $text = '…' . (preg_replace('/\A\S{0,40}\s|\s\S{0,40}\z/u', '', $text) ?? $text) . '…';
        }
        [$at, $length] = (new Query($word))->in($text)[0] ?? [0, 0];

        return [
            'in' => $row->topic === Plan::ROOT && $row->place === 'topic' ? 'title' : $row->place,
            'topic' => $row->topic === Plan::ROOT && $row->place === 'topic' ? null : $row->topic,
            'title' => (string) $row->title,
            'text' => [substr($text, 0, $at), substr($text, $at, $length), substr($text, $at + $length)],
        ];
    }
}
