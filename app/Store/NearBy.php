<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Attachment;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Citation\Label;
use Embrel\Citation\SourceForm;
use Embrel\Citation\Terms;
use Embrel\Language\Tongue;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Prompt\Near\Alike;
use Embrel\Prompt\Near\Bm25;
use Embrel\Prompt\Near\Passages;
use Embrel\Prompt\Near\Sought;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What bears on a topic or on a marked passage: passages of this plan, of others that the person may read, of kept
 * pages and of sources.
 */
final class NearBy
{
    /** In seconds: so long plans are read that the index does not know yet. The rest is read when one asks again. */
    private const READING = 1.5;
    private const SHOWN = 12;
    /** Of one topic, and of the ranks that are looked at. */
    private const OF_ONE = 2;
    private const LOOKED_AT = 200;
    private const PLANS = 500;

    private ?Numbering $numbering = null;

    private function __construct(private readonly User $user, private readonly PlanRow $plan, private readonly Plan $tree) {}

    /**
     * @param Plan   $tree   of the plan, without its notes
     * @param string $topic  a topic of the plan, or the plan
     * @param string $marked a passage of its note; '' all of it
     *
     * @return array{passages: list<array<string, mixed>>, unread: int} the nearest first; and how many plans are not read yet
     */
    public static function of(User $user, PlanRow $plan, Plan $tree, string $topic, string $marked = ''): array
    {
        $self = new self($user, $plan, $tree);
        $plans = $self->plans();
        $unread = (new PassageIndex(microtime(true) + self::READING))->follow($plans);
        $title = $topic === Plan::ROOT ? $tree->title() : $tree->topic($topic)->title;
        $note = PlanNotes::of($plan, $topic)[0] ?? Note::empty();
        $text = $marked !== '' ? $marked : implode("\n", Passages::ofNote($note));
        $sought = Sought::of(Tongue::of($plan->language), $marked !== '' ? '' : $title, $text);

        return ['passages' => $self->found($plans, $sought, $topic, $marked), 'unread' => $unread];
    }

    /**
     * What the plan has twice: titles that say nearly the same, and topics that speak of the same. Pairs of topics,
     * each with its id and how it is called.
     *
     * @return array{titles: list<array{array{string, string}, array{string, string}}>,
     * texts: list<array{array{string, string}, array{string, string}}>}
     */
    public static function alike(PlanRow $plan, Plan $tree): array
    {
        (new PassageIndex(microtime(true) + self::READING))->follow([$plan]);
        $texts = [];
        $rows = DB::table('passage_words')
            ->join(
                'passages',
                static fn($join) => $join->on('passages.plan', 'passage_words.plan')->on('passages.passage', 'passage_words.passage'),
            )
            ->join('passage_plans', 'passage_plans.number', '=', 'passages.plan')
            ->where('plan_id', $plan->id)
            ->where('kind', PassageIndex::NOTE)
            ->orderBy('thing')
            ->select(['thing', 'word', 'times']);
        foreach ($rows->cursor() as $row) {
            $texts[$row->thing][$row->word] = ($texts[$row->thing][$row->word] ?? 0) + $row->times;
        }
        $numbering = Numbering::of($tree);
        $called = static fn(string $id): array => [$id, $numbering->titled($tree->topic($id))];
        $texts = array_filter($texts, static fn(string $id): bool => $tree->has($id), ARRAY_FILTER_USE_KEY);

        return [
            'titles' => array_map(static fn(array $two): array => array_map($called, $two), Alike::titles($tree)),
            'texts' => array_map(static fn(array $two): array => [$called($two[0]), $called($two[1])], Alike::texts($texts)),
        ];
    }

    /** @return array<string, PlanRow> those that the person may read, this one first, then as they were changed */
    private function plans(): array
    {
        $others = Access::readable($this->user->id)->whereKeyNot($this->plan->id)->orderByDesc('changed_at')->limit(self::PLANS);
        /** @var array<string, PlanRow> $plans */
        $plans = $others->get()->keyBy('id')->all();

        return [$this->plan->id => $this->plan] + $plans;
    }

    /**
     * @param array<string, PlanRow> $plans
     *
     * @return list<array<string, mixed>>
     */
    private function found(array $plans, Sought $sought, string $topic, string $marked): array
    {
        $states = DB::table('passage_plans')->whereIn('plan_id', array_keys($plans))->get()->keyBy('number');
        $own = $states->firstWhere('plan_id', $this->plan->id);
        if ($sought->words === [] || $own === null) {
            return [];
        }
        $sought = $sought->narrowed($this->having((int) $own->number, $sought), (int) $own->passages);
        $byLanguage = [];
        foreach ($states as $number => $state) {
            $byLanguage[$plans[$state->plan_id]->language][] = (int) $number;
        }
        // A passage is named by the number of its plan and its own.
        $found = [];
        foreach ($byLanguage as $language => $numbers) {
            $stems = $sought->stems(Tongue::of((string) $language));
            $words = [];
            foreach ($stems as $stem => $word) {
                $words[PassageIndex::sign((string) $stem)] = $word;
            }
            foreach (self::rows($numbers, array_keys($words)) as [$plan, $word, $passage, $times, $length]) {
                $found[$words[$word]][] = [$plan << 32 | $passage, $times, $length];
            }
        }
        $all = (int) $states->sum('passages');
        $ranks = (new Bm25($all, $states->sum('words') / max(1, $all)))->ranked($sought, $found);
        $of = static fn(int $name): string => (string) $states[$name >> 32]->plan_id;

        return $this->shown(\array_slice($ranks, 0, self::LOOKED_AT, true), $plans, $of, $sought, $topic, $marked);
    }

    /** @return array<string, int> word → in how many passages of the plan it stands */
    private function having(int $number, Sought $sought): array
    {
        $signs = [];
        foreach ($sought->stems(Tongue::of($this->plan->language)) as $stem => $word) {
            $signs[PassageIndex::sign((string) $stem)] = $word;
        }
        $having = [];
        $counts = DB::table('passage_words')
            ->where('plan', $number)
            ->whereIn('word', array_keys($signs))
            ->groupBy('word')
            ->selectRaw('word, COUNT(*) AS n');
        foreach ($counts->pluck('n', 'word') as $sign => $n) {
            $having[$signs[$sign]] = (int) $n;
        }

        return $having;
    }

    /**
     * @param list<int> $plans by their numbers
     * @param list<int> $words by their signs
     *
     * @return \Traversable<int, array{int, int, int, int, int}> plan, word, passage, how often, and how many words the passage has
     */
    private static function rows(array $plans, array $words): \Traversable
    {
        if ($words === []) {
            return new \EmptyIterator();
        }
        // Numbers of our own alone.
        $statement = DB::connection()->getPdo()->prepare(\sprintf(
            'SELECT plan, word, passage, times, words FROM passage_words WHERE plan IN (%s) AND word IN (%s)',
            implode(',', $plans),
            implode(',', $words),
        ));
        $statement->setFetchMode(\PDO::FETCH_NUM);
        $statement->execute();

        return $statement;
    }

    /**
     * The passages themselves, as long as there is something new in them.
     *
     * @param array<int, float>      $ranks
     * @param array<string, PlanRow> $plans
     * @param \Closure(int): string  $of    the plan of a passage
     *
     * @return list<array<string, mixed>>
     */
    private function shown(array $ranks, array $plans, \Closure $of, Sought $sought, string $topic, string $marked): array
    {
        $query = DB::table('passages')->where(static function (Builder $any) use ($ranks): void {
            $byPlan = [];
            foreach ($ranks as $name => $_) {
                $byPlan[$name >> 32][] = $name & 0xFFFFFFFF;
            }
            foreach ($byPlan as $plan => $passages) {
                $any->orWhere(static fn(Builder $one) => $one->where('plan', $plan)->whereIn('passage', $passages));
            }
        });
        $rows = $ranks === [] ? [] : $query->get(['plan', 'passage', 'kind', 'thing', 'block'])->keyBy(
            static fn(\stdClass $row): int => $row->plan << 32 | $row->passage,
        );
        $taken = $shown = [];
        foreach ($ranks as $name => $_) {
            $row = $rows[$name] ?? null;
            $plan = $of($name);
            // What one asks about says nothing new of itself: only other passages do, where one was marked.
            $isAsked = $row !== null && $plan === $this->plan->id && $row->thing === $topic;
            $key = $row === null ? '' : "{$plan} {$row->thing}";
            if ($row === null || $isAsked || ($taken[$key] ?? 0) >= self::OF_ONE) {
                continue;
            }
            $one = $this->one($plans[$plan], $row, $sought);
            if ($one !== null && $one['text'] !== $marked) {
                $taken[$key] = ($taken[$key] ?? 0) + 1;
                $shown[] = $one;
            }
            if (\count($shown) === self::SHOWN) {
                break;
            }
        }

        return $shown;
    }

    /** @return array<string, mixed>|null null: it has gone meanwhile */
    private function one(PlanRow $plan, \stdClass $row, Sought $sought): ?array
    {
        $told = match ($row->kind) {
            PassageIndex::TITLE, PassageIndex::NOTE => $this->ofTopic($plan, $row),
            PassageIndex::SOURCE => $this->ofSource($plan, $row->thing),
            default => $this->ofPage($plan, $row),
        };
        if ($told === null) {
            return null;
        }
        $tongue = Tongue::of($plan->language);
        $spots = $tongue->spots($told['text'], $sought->stems($tongue));
        $ties = [];
        foreach ($spots as [$from, $length]) {
            $ties[mb_strtolower(mb_substr($told['text'], $from, $length))] = true;
        }

        $isOwn = $plan->id === $this->plan->id;

        return [
            'plan' => $isOwn ? null : ['id' => $plan->id, 'title' => $plan->title],
            'kind' => $row->kind,
            'spots' => $spots,
            'ties' => array_map(strval(...), array_keys($ties)),
            // What of another plan is quoted brings the sources along that it cites.
            'sources' => $isOwn ? [] : self::sources($plan, array_column($told['cites'], 'source')),
        ] + $told;
    }

    /** @return array<string, mixed>|null */
    private function ofTopic(PlanRow $plan, \stdClass $row): ?array
    {
        $topic = DB::table('topics')
            ->where('plan_id', $plan->id)
            ->where('id', $row->thing)
            ->whereNull('removed_at')
            ->first(['id', 'title']);
        if ($topic === null) {
            return null;
        }
        $isOwn = $plan->id === $this->plan->id;
        $called = $isOwn && $this->tree->has($topic->id)
            ? ($this->numbering ??= Numbering::of($this->tree))->titled($this->tree->topic($topic->id))
            : ($topic->id === Plan::ROOT ? $plan->title : $topic->title);
        $told = ['topic' => $topic->id, 'called' => $called];
        if ($row->kind === PassageIndex::TITLE) {
            return $told + ['text' => $topic->title, 'cites' => []];
        }
        $note = PlanNotes::of($plan, $topic->id)[0] ?? Note::empty();
        $text = Passages::ofNote($note)[$row->block] ?? null;

        return $text === null ? null : $told + [
            'block' => $row->block,
            'text' => $text,
            'cites' => self::cites($note->blocks[$row->block]),
        ];
    }

    /** @return list<array<string, mixed>> what the citations of a block name */
    private static function cites(Node $block): array
    {
        $items = [];
        foreach ($block->all() as $node) {
            if ($node->type === NodeType::Citation) {
                array_push($items, ...\is_array($node->attrs['items'] ?? null) ? array_values($node->attrs['items']) : []);
            }
        }

        return $items;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<array<string, mixed>> their stored forms
     */
    private static function sources(PlanRow $plan, array $ids): array
    {
        $rows = DB::table('sources')
            ->where('plan_id', $plan->id)
            ->whereIn('id', $ids)
            ->whereNull('removed_at')
            ->get(['id', 'title', 'body']);

        return array_values($rows->map(static fn(\stdClass $row): array => SourceForm::toArray(PlanRows::source($row)))->all());
    }

    /** @return array<string, mixed>|null */
    private function ofSource(PlanRow $plan, string $id): ?array
    {
        $row = DB::table('sources')->where('plan_id', $plan->id)->where('id', $id)->whereNull('removed_at')->first(['id', 'title', 'body']);
        if ($row === null) {
            return null;
        }
        $source = PlanRows::source($row);

        return [
            'source' => $id,
            'called' => Label::ofSource($source, Terms::of($plan->language)),
            'text' => Passages::ofSource($source),
            'cites' => [['source' => $id]],
        ];
    }

    /** @return array<string, mixed>|null */
    private function ofPage(PlanRow $plan, \stdClass $row): ?array
    {
        $file = Attachment::query()->where('plan_id', $plan->id)->where('id', $row->thing)->where('removed_at', null)->get()->first();
        $text = $file === null ? null : PassageIndex::paragraphs($file)[(int) $row->block] ?? null;
        if ($file === null || $text === null) {
            return null;
        }
        $source = $this->ofSource($plan, $file->holder);

        return ['called' => $file->name, 'text' => $text]
            + ($source === null ? ['topic' => $file->holder, 'cites' => []] : ['source' => $file->holder, 'cites' => $source['cites']]);
    }
}
