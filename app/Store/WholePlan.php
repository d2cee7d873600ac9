<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Comment\Anchor;
use Embrel\Comment\Suggestion;
use Embrel\Difference\Difference;
use Embrel\Id\Ids;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Reader\Unreadable;
use Embrel\Shape;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A plan with all that has happened to it, as lines of JSON that another Embrel takes in: how it began, each change since, the versions
 * that were named, what was said, and what is its owner's own about it. Rows are not among them: what the plan is now follows from its
 * beginning and its log, so a file that says otherwise cannot be made. Of other people only their names are told.
 *
 * Each line has a `kind`: `plan` (the first), `first`, `change`, `version`, `comment`, `picture`, `file`, `style`, `words`, `tag`, `fold`.
 */
final readonly class WholePlan
{
    public const FORM = 1;
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;
    private const CHUNK = 200;
    private const SAYS = 1000;
    private const DAY = '/\A\d{4}-\d\d-\d\d\z/';

    public function __construct(private PlanStore $store, private Ids $ids) {}

    /**
     * @param resource                 $out
     * @param \Closure(string): string $where the hash of a picture or file → its name in the package
     */
    public function write(PlanRow $row, User $me, $out, \Closure $where): void
    {
        $line = static function (string $kind, array $of) use ($out): void {
            fwrite($out, json_encode(['kind' => $kind] + $of, self::JSON) . "\n");
        };
        $of = static fn(string $table) => DB::table($table)->where('plan_id', $row->id);
        $dates = array_map(static fn(?Carbon $at): ?string => $at?->toIso8601ZuluString(), [
            'started' => $row->created_at, 'changed' => $row->changed_at, 'putAway' => $row->put_away_at,
        ]);
        $line('plan', ['embrel' => self::FORM, 'title' => $row->title, 'revision' => $row->revision] + $dates);
        $first = $of('snapshots')->orderBy('seq')->first(['seq', 'body']) ?? throw new \RuntimeException('A plan has a first state.');
        $line('first', ['seq' => (int) $first->seq, 'body' => json_decode($first->body, true, 512, JSON_THROW_ON_ERROR)]);
        $log = $of('operations')
            ->leftJoin('users', 'users.id', '=', 'user_id')
            ->orderBy('seq')
            ->select(['operations.*', 'users.name AS by']);
        foreach ($log->cursor() as $one) {
            $line('change', [
                'seq' => (int) $one->seq, 'id' => $one->op_id, 'step' => $one->step_id, 'undoes' => $one->undoes, 'type' => $one->type,
                'says' => $one->says, 'at' => self::time($one->at), 'did' => json_decode($one->difference, true, 512, JSON_THROW_ON_ERROR),
            ] + self::who((int) $one->user_id, $me, $one->by ?? $one->name));
        }
        foreach ($of('snapshots')->whereNotNull('name')->orderBy('seq')->get(['seq', 'name', 'at']) as $one) {
            $line('version', ['seq' => (int) $one->seq, 'name' => $one->name, 'at' => self::time($one->at)]);
        }
        foreach ($of('comments')->orderBy('created_at')->orderBy('id')->cursor() as $one) {
            $line('comment', [
                'id' => $one->id, 'topic' => $one->topic_id, 'thread' => $one->thread_id, 'body' => $one->body,
                'anchor' => json_decode($one->anchor ?? 'null', true), 'proposal' => json_decode($one->proposal ?? 'null', true),
                'outcome' => $one->outcome, 'outcomeBy' => $one->outcome_by, 'outcomeWhy' => $one->outcome_why,
                'settledBy' => $one->settled_by,
                'at' => self::time($one->created_at), 'settled' => self::time($one->settled_at), 'edited' => self::time($one->edited_at),
                'takenBack' => self::time($one->taken_back_at),
            ] + self::who((int) $one->user_id, $me, $one->name));
        }
        foreach ($of('pictures')->orderBy('id')->pluck('id') as $id) {
            $line('picture', ['id' => $id, 'in' => $where($id)]);
        }
        foreach ($of('attachments')->whereNull('removed_at')->orderBy('id')->get() as $one) {
            $line('file', ['id' => $one->id, 'holder' => $one->holder, 'name' => $one->name, 'in' => $where($one->hash)]);
        }
        foreach (array_keys(CitationStyles::ofPlan($row)) as $key) {
            $line('style', ['body' => (new CitationStyles())->file($key)]);
        }
        foreach ($of('written_words')->where('user_id', $me->id)->orderBy('day')->orderBy('section_id')->get() as $one) {
            $line('words', ['day' => $one->day, 'section' => $one->section_id, 'added' => (int) $one->added, 'taken' => (int) $one->taken]);
        }
        foreach ($of('plan_tags')->where('user_id', $me->id)->orderBy('tag')->pluck('tag') as $tag) {
            $line('tag', ['tag' => $tag]);
        }
        foreach ($of('topic_folds')->where('user_id', $me->id)->orderBy('topic_id')->pluck('topic_id') as $topic) {
            $line('fold', ['topic' => $topic]);
        }
    }

    /** @return array<string, mixed> */
    private static function who(int $user, User $me, ?string $name): array
    {
        return $user === $me->id ? ['mine' => true] : ['by' => $name ?? User::GONE];
    }

    private static function time(?string $at): ?string
    {
        return $at === null ? null : Carbon::parse($at)->toIso8601ZuluString();
    }

    /**
     * Takes a plan in as it was, under its owner's name; all of it, or nothing.
     *
     * @param iterable<string>          $lines
     * @param \Closure(string): ?string $bytes the name of a picture or file in the package → a path of it; null: it is not there
     *
     * @throws Unreadable where a line is none of ours, or says what cannot be
     * @throws OverQuota
     */
    public function read(iterable $lines, User $me, \Closure $bytes): PlanRow
    {
        try {
            $read = $this->understood($lines, $me);

            return Transaction::of(fn(): PlanRow => $this->kept($read, $me, $bytes));
        } catch (OverQuota|Unreadable|QueryException $why) {
            throw $why;
        } catch (\DomainException|\LogicException|\RuntimeException|\TypeError|\ValueError|\JsonException $why) {
            // Whatever the core refuses: it reads each value again.
            throw self::unreadable($why);
        }
    }

    private static function unreadable(?\Throwable $why = null): Unreadable
    {
        return new Unreadable('This was not written by Embrel, or was changed since: it cannot be taken in. Nothing was kept.', 0, $why);
    }

    /**
     * All that the lines say, read before any of it is kept.
     *
     * @param iterable<string> $lines
     *
     * @return array{
     *     head: Shape, first: Plan, began: int, plan: Plan, revision: int, log: list<array{array<string, mixed>, Difference}>,
     *     named: array<int, array{name: string, at: Carbon|null}>, rest: array<string, list<Shape>>
     * }
     */
    private function understood(iterable $lines, User $me): array
    {
        $head = $first = $state = null;
        $seq = $began = 0;
        $log = $named = $rest = $ids = [];
        foreach ($lines as $text) {
            $line = Shape::of(json_decode($text, true, 512, JSON_THROW_ON_ERROR), 'line');
            $kind = $line->string('kind');
            if ($kind === 'plan' && $head === null && $line->int('embrel') === self::FORM) {
                $head = $line;
            } elseif ($kind === 'first' && $head !== null && $state === null) {
                $first = $state = PlanForm::plan($line->object('body'));
                $began = $seq = max(1, $line->int('seq'));
            } elseif ($kind === 'change' && $state !== null && $line->int('seq') === $seq + 1) {
                isset($ids[$line->id('id')]) && throw self::unreadable();
                $ids[$line->id('id')] = true;
                $state = $this->change($line, $state, $me, $log);
                ++$seq;
            } elseif ($kind === 'version' && $state !== null) {
                $named[$line->int('seq')] = ['name' => self::short($line, 'name', 200), 'at' => self::moment($line, 'at')];
            } elseif (\in_array($kind, ['comment', 'picture', 'file', 'style', 'words', 'tag', 'fold'], true) && $state !== null) {
                $rest[$kind][] = $line;
                \count($rest[$kind]) <= Limits::TOPICS || throw self::unreadable();
            } else {
                throw self::unreadable();
            }
        }
        if ($head === null || $first === null || $state === null || \count($state->topics) > Limits::TOPICS + 3) {
            throw self::unreadable();
        }
        // Read as any plan is that comes from outside: what stands nowhere in it, or is none of ours, shows now.
        $checked = PlanForm::plan(
            new Shape(json_decode(json_encode(PlanForm::toArray($state), self::JSON), true, 512, JSON_THROW_ON_ERROR), 'plan'),
        );
        \count($checked->topics) === \count($state->topics) || throw self::unreadable();

        return [
            ...['head' => $head, 'first' => $first, 'began' => $began, 'plan' => $state, 'revision' => $seq],
            ...['log' => $log, 'named' => $named, 'rest' => $rest],
        ];
    }

    /**
     * @param array{
     *     head: Shape, first: Plan, began: int, plan: Plan, revision: int, log: list<array{array<string, mixed>, Difference}>,
     *     named: array<int, array{name: string, at: Carbon|null}>, rest: array<string, list<Shape>>
     * }                                $read
     * @param \Closure(string): ?string $bytes
     */
    private function kept(array $read, User $me, \Closure $bytes): PlanRow
    {
        ['head' => $head, 'plan' => $plan, 'log' => $log] = $read;
        $id = $this->ids->next();
        $row = $this->store->recreate($me, $plan, $id, $read['revision'], $read['first']);
        // Where the first state that is kept is not that of the first revision, it stands where it stood.
        DB::table('snapshots')->where('plan_id', $id)->update(['seq' => $read['began']]);
        foreach (array_chunk($log, self::CHUNK) as $chunk) {
            DB::table('operations')->insert(array_map(static fn(array $one): array => ['plan_id' => $id] + $one[0], $chunk));
            $did = array_column($chunk, 1);
            StoredDifference::index($id, array_combine(array_column(array_column($chunk, 0), 'seq'), $did));
        }
        $this->versions($row, $read['named']);
        $this->rest($row, $me, $plan, $read['rest'], $bytes);
        $row->forceFill(['put_away_at' => self::moment($head, 'putAway'), 'changed_at' => self::moment($head, 'changed') ?? now()])->save();
        $row->timestamps = false;
        $row->forceFill(['created_at' => self::moment($head, 'started') ?? now()])->save();
        $row->timestamps = true;

        return $row;
    }

    /** @param list<array{array<string, mixed>, Difference}> $log */
    private function change(Shape $line, Plan $state, User $me, array &$log): Plan
    {
        $did = StoredDifference::read(json_encode($line->object('did')->values(), self::JSON));
        $type = $line->string('type');
        preg_match('/\A[a-z-]{1,16}\z/i', $type) === 1 || throw self::unreadable();
        $isMine = $line->has('mine') && $line->bool('mine');
        $log[] = [[
            'seq' => $line->int('seq'),
            'op_id' => $line->id('id'),
            'step_id' => $line->id('step'),
            'undoes' => $line->idOr('undoes', null),
            'user_id' => $isMine ? $me->id : null,
            'name' => $isMine ? null : self::short($line, 'by', 120),
            'type' => $type,
            'difference' => StoredDifference::write($did),
            'says' => self::short($line, 'says', self::SAYS),
            'at' => self::moment($line, 'at') ?? now(),
        ], $did];

        $next = $did->in($state);
        foreach ($did->topicsTouched() as $id) {
            self::standsSomewhere($next, $id) || throw self::unreadable();
        }

        return $next;
    }

    /** Whether the way up from a topic leads to where everything hangs; not round in a circle. */
    private static function standsSomewhere(Plan $plan, string $id): bool
    {
        if (!$plan->has($id)) {
            return true;
        }
        for ($level = 0; $level <= 2 * Limits::LEVELS; ++$level) {
            $parent = $plan->parents[$id] ?? null;
            if ($parent === null) {
                return Plan::isFixed($id);
            }
            if (!$plan->has($parent) || !\in_array($id, $plan->parts($parent), true)) {
                return false;
            }
            $id = $parent;
        }

        return false;
    }

    /** @param array<int, array{name: string, at: Carbon|null}> $named */
    private function versions(PlanRow $row, array $named): void
    {
        $snapshots = new Snapshots($this->store);
        foreach ($named as $seq => ['name' => $name, 'at' => $at]) {
            $plan = $snapshots->at($row, $seq) ?? throw self::unreadable();
            Snapshots::keep((clone $row)->forceFill(['revision' => $seq]), $plan, $name);
            DB::table('snapshots')->where('plan_id', $row->id)->where('seq', $seq)->update(['name' => $name, 'at' => $at ?? now()]);
        }
    }

    /**
     * @param array<string, list<Shape>> $rest
     * @param \Closure(string): ?string  $bytes
     */
    private function rest(PlanRow $row, User $me, Plan $plan, array $rest, \Closure $bytes): void
    {
        foreach ($rest['picture'] ?? [] as $line) {
            $path = $bytes($line->string('in'));
            $path === null ?: (new PlanPictures($row->id))->keep((string) file_get_contents($path));
        }
        foreach ($rest['file'] ?? [] as $line) {
            $path = $bytes($line->string('in'));
            if ($path !== null) {
                Attachments::keep($row->id, $line->id('id'), $line->id('holder'), self::short($line, 'name', 255), new \SplFileInfo($path));
            }
        }
        foreach ($rest['style'] ?? [] as $line) {
            CitationStyles::hold($row, (new CitationStyles())->admit($me, $line->string('body')));
        }
        $this->comments($row, $me, $plan, $rest['comment'] ?? []);
        $isDay = static fn(Shape $line): bool => preg_match(self::DAY, $line->string('day')) === 1;
        foreach ($rest['words'] ?? [] as $line) {
            $isDay($line) || throw self::unreadable();
            DB::table('written_words')->insertOrIgnore([
                'plan_id' => $row->id, 'user_id' => $me->id, 'day' => $line->string('day'), 'section_id' => $line->id('section'),
                'added' => max(
                    0,
                    min($line->int('added'), Limits::TARGET_WORDS),
                ), 'taken' => max(0, min($line->int('taken'), Limits::TARGET_WORDS)),
            ]);
        }
        foreach ($rest['tag'] ?? [] as $line) {
            DB::table('plan_tags')->insertOrIgnore(['plan_id' => $row->id, 'user_id' => $me->id, 'tag' => self::short($line, 'tag', 40)]);
        }
        foreach ($rest['fold'] ?? [] as $line) {
            if ($plan->has($line->id('topic'))) {
                DB::table('topic_folds')->insertOrIgnore(['plan_id' => $row->id, 'user_id' => $me->id, 'topic_id' => $line->id('topic')]);
            }
        }
    }

    /** @param list<Shape> $lines */
    private function comments(PlanRow $row, User $me, Plan $plan, array $lines): void
    {
        \count($lines) <= Limits::COMMENTS || throw self::unreadable();
        $known = DB::table('comments')->whereIn(
            'id',
            array_map(static fn(Shape $line): string => $line->id('id'), $lines),
        )->pluck('id')->all();
        // Where the same plan is here already, what is said in this one has ids of its own.
        $new = array_combine($known, array_map($this->ids->next(...), $known));
        $revised = 0;
        $rows = [];
        foreach ($lines as $line) {
            $plan->has($line->id('topic')) || throw self::unreadable();
            $thread = $line->idOr('thread', null);
            $shape = static fn(string $name, \Closure $read): ?string => $line->has($name)
                ? json_encode($read($line->object($name))->toArray(), self::JSON)
                : null;
            $isMine = $line->has('mine') && $line->bool('mine');
            $outcome = $line->stringOr('outcome', null);
            \in_array($outcome, [null, 'taken', 'declined'], true) || throw self::unreadable();
            $rows[] = [
                'id' => $new[$line->id('id')] ?? $line->id('id'),
                'plan_id' => $row->id,
                'topic_id' => $line->id('topic'),
                'thread_id' => $thread === null ? null : $new[$thread] ?? $thread,
                'user_id' => $isMine ? $me->id : null,
                'name' => $isMine ? $me->name : self::short($line, 'by', 120),
                'body' => self::short($line, 'body', Limits::COMMENT),
                'anchor' => $shape('anchor', Anchor::read(...)),
                'proposal' => $shape('proposal', Suggestion::read(...)),
                'outcome' => $outcome,
                'outcome_by' => $line->has('outcomeBy') ? self::short($line, 'outcomeBy', 120) : null,
                'outcome_why' => $line->has('outcomeWhy') ? self::short($line, 'outcomeWhy', Limits::COMMENT) : null,
                'settled_by' => $line->has('settledBy') ? self::short($line, 'settledBy', 120) : null,
                'created_at' => self::moment($line, 'at') ?? now(),
                'settled_at' => self::moment($line, 'settled'),
                'edited_at' => self::moment($line, 'edited'),
                'taken_back_at' => self::moment($line, 'takenBack'),
                'revised' => ++$revised,
                'placed' => $revised,
            ];
        }
        $ids = array_fill_keys(array_column($rows, 'id'), true);
        // What is answered before what answers it.
        usort($rows, static fn(array $a, array $b): int => ($a['thread_id'] !== null) <=> ($b['thread_id'] !== null));
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            foreach ($chunk as $one) {
                $one['thread_id'] === null || isset($ids[$one['thread_id']]) || throw self::unreadable();
            }
            DB::table('comments')->insert($chunk);
        }
        DB::table('plans')->where('id', $row->id)->update(['talk_revision' => $revised]);
    }

    private static function short(Shape $line, string $name, int $most): string
    {
        $text = $line->string($name);

        return mb_strlen($text) <= $most ? $text : throw self::unreadable();
    }

    private static function moment(Shape $line, string $name): ?Carbon
    {
        if (!$line->has($name)) {
            return null;
        }
        $text = $line->string($name);
        $isOne = preg_match('/\A(?:19|20)\d\d-(?:0\d|1[0-2])-[0-3]\d[T ][0-2]\d:[0-5]\d:[0-5]\d(?:\.\d{1,6})?Z?\z/', $text) === 1;

        return $isOne ? Carbon::parse($text, 'UTC') : throw self::unreadable();
    }
}
