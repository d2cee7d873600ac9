<?php

declare(strict_types=1);

namespace App\Stream;

use App\Access\Access;
use App\Models\Plan;
use App\Models\User;
use App\Store\News;
use App\Store\People;
use Illuminate\Support\Facades\DB;

/**
 * All pages that are open, by plan. One query tells the numbers of all watched plans at once; what has changed is worked out once
 * and told to everyone who watches.
 */
final class Watch
{
    /** People who are told to be in a plan, at the most. */
    private const SHOWN = 60;
    /** Plans that are asked about in one query. */
    private const CHUNK = 1000;

    /** @var array<string, array<string, Page>> plan → page → it */
    private array $pages = [];
    /** @var array<string, array{revision: int, talk: int, people: int}> plan → its numbers, as they were told last */
    private array $numbers = [];
    /** @var array<string, true> plans of which it is another who is where */
    private array $moved = [];
    /** @var array<string, true> plans that have changed, as another process says */
    private array $due = [];
    /** By which other processes know this one. */
    private readonly string $process;
    private readonly Elsewhere $elsewhere;

    /** @param (\Closure(string, string): mixed)|null $say tells all processes something, in a channel (Wire) */
    public function __construct(private readonly ?\Closure $say = null)
    {
        $this->process = bin2hex(random_bytes(8));
        $this->elsewhere = new Elsewhere();
    }

    /** Lets a page in, if whoever is at it may see the plan; null: that is not so, or the page is another's. */
    public function join(Request $request, \React\Socket\ConnectionInterface $connection): ?Page
    {
        $user = User::query()->where('id', $request->user)->first();
        $plan = Plan::query()->where('id', $request->plan)->first();
        if ($user === null || $plan === null || Access::of($user, $plan) === null) {
            return null;
        }
        $before = $this->pages[$plan->id][$request->page] ?? null;
        if ($before !== null && $before->user !== $user->id) {
            return null;
        }
        // Of the line on which the same page was before, it may not know yet that it is dead.
        $before?->close();
        isset($this->pages[$plan->id]) || $this->tell(['who' => $plan->id]);
        $page = new Page($request->page, $plan->id, $user->id, $user->name, $connection);
        $this->pages[$plan->id][$page->id] = $page;
        // What comes in between is told to this one too: its numbers are those that all know, or newer.
        $this->numbers[$plan->id] ??= self::numbersOf($plan->getAttributes());
        $this->moved[$plan->id] = true;

        return $page;
    }

    /** @return string what a page is told first */
    public function greeting(Page $page): string
    {
        return Page::event('at', $this->numbers[$page->plan]);
    }

    public function leave(Page $page): void
    {
        // The same page may have come back on another line meanwhile.
        if (($this->pages[$page->plan][$page->id] ?? null) === $page) {
            unset($this->pages[$page->plan][$page->id]);
            $this->moved[$page->plan] = true;
        }
        if (($this->pages[$page->plan] ?? null) === []) {
            unset($this->pages[$page->plan], $this->numbers[$page->plan]);
            $this->elsewhere->forget($page->plan);
        }
    }

    /** A page says where the person is; its line may be at another process. */
    public function moved(Request $request): void
    {
        isset($this->pages[$request->plan][$request->page])
            ? $this->place($request->plan, $request->page, $request->user, $request->body)
            : $this->tell(['moved' => $request->plan, 'page' => $request->page, 'user' => $request->user, 'to' => $request->body]);
    }

    private function place(string $plan, string $id, int $user, string $body): void
    {
        $page = $this->pages[$plan][$id] ?? null;
        if ($page !== null && $page->user === $user && $page->moved($body)) {
            $this->moved[$plan] = true;
        }
    }

    /** @param array<string, mixed> $word */
    private function tell(array $word): void
    {
        if ($this->say !== null) {
            ($this->say)(Wire::PLACES, json_encode(['process' => $this->process] + $word, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        }
    }

    /** What another process says, or this one: of a plan that has changed, or of who is where. */
    public function heard(string $channel, string $text): void
    {
        if ($channel === Wire::PLANS) {
            $this->due[$text] = true;

            return;
        }
        $word = json_decode($text, true);
        if (!\is_array($word) || ($word['process'] ?? null) === $this->process) {
            return;
        }
        $text = static fn(string $name): string => \is_string($word[$name] ?? null) ? $word[$name] : '';
        if ($text('moved') !== '') {
            $this->place($text('moved'), $text('page'), \is_int($word['user'] ?? null) ? $word['user'] : 0, $text('to'));
        } elseif ($text('who') !== '') {
            isset($this->pages[$text('who')]) && $this->moved[$text('who')] = true;
        } elseif (isset($this->pages[$text('here')])) {
            $this->elsewhere->told($text('here'), $text('process'), \is_array($word['people'] ?? null) ? $word['people'] : []);
            $this->tellHere($text('here'));
        }
    }

    public function count(): int
    {
        return array_sum(array_map(count(...), $this->pages));
    }

    /** Tells who is where, of plans in which that is another. */
    public function tellPlaces(): void
    {
        foreach (array_keys($this->moved) as $plan) {
            $this->tell(['here' => $plan, 'people' => $this->here((string) $plan)]);
            $this->tellHere((string) $plan);
        }
        $this->moved = [];
    }

    /** @return list<array<string, mixed>> */
    private function here(string $plan): array
    {
        return array_map(
            static fn(Page $page): array => $page->here(),
            \array_slice(array_values($this->pages[$plan] ?? []), 0, self::SHOWN),
        );
    }

    private function tellHere(string $plan): void
    {
        // One who has just come to another line may be told of twice.
        $people = array_column([...$this->elsewhere->in($plan), ...$this->here($plan)], null, 'page');
        $this->toAll($plan, Page::event('here', ['people' => \array_slice(array_values($people), 0, self::SHOWN)]));
    }

    /** So that what lies between does not take the line for dead. */
    public function beat(): void
    {
        foreach (array_keys($this->pages) as $plan) {
            $this->toAll((string) $plan, ":\n\n");
            $this->tell(['here' => $plan, 'people' => $this->here((string) $plan)]);
        }
    }

    /** Looks what has changed, and tells it: in all plans, or in those only of which it was heard. */
    public function look(bool $inAll = true): void
    {
        $asked = $inAll ? $this->pages : array_intersect_key($this->pages, $this->due);
        $this->due = [];
        foreach (array_chunk(array_map(strval(...), array_keys($asked)), self::CHUNK) as $plans) {
            $rows = DB::table('plans')
                ->whereIn('id', $plans)
                ->whereNull('deleted_at')
                ->get(['id', 'revision', 'talk_revision', 'people_revision'])
                ->keyBy('id');
            foreach ($plans as $plan) {
                $row = $rows->get($plan);
                if ($row === null) {
                    array_map($this->out(...), $this->pages[$plan] ?? []);
                } else {
                    $this->compare($plan, self::numbersOf((array) $row));
                }
            }
        }
    }

    /** @param array{revision: int, talk: int, people: int} $now */
    private function compare(string $plan, array $now): void
    {
        $known = $this->numbers[$plan] ?? $now;
        if ($now === $known) {
            return;
        }
        $this->numbers[$plan] = $now;
        if ($now['people'] > $known['people']) {
            $this->ask($plan);
        }
        $news = $now['revision'] > $known['revision'] ? self::news($plan, $known['revision']) : null;
        if ($news !== null) {
            $this->toAll($plan, Page::event('news', $news));
        }
        $this->toAll($plan, Page::event('at', $now));
    }

    /** Who may see a plan is asked again for all who watch it. */
    private function ask(string $plan): void
    {
        $row = Plan::query()->where('id', $plan)->first();
        $may = $row === null ? [] : array_column(People::of($row), 'id');
        foreach ($this->pages[$plan] ?? [] as $page) {
            \in_array($page->user, $may, true) || $this->out($page);
        }
    }

    private function out(Page $page): void
    {
        $page->tell(Page::event('out', []));
        $page->close();
        $this->leave($page);
    }

    /**
     * What has happened, where that is little: who knows the plan as it was need not ask.
     *
     * @return array{from: int, by: list<int>, news: array<string, mixed>}|null
     */
    private static function news(string $plan, int $from): ?array
    {
        $row = Plan::query()->where('id', $plan)->first();

        return $row === null ? null : News::toAll($row, $from);
    }

    private function toAll(string $plan, string $event): void
    {
        foreach ($this->pages[$plan] ?? [] as $page) {
            $page->tell($event);
        }
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{revision: int, talk: int, people: int}
     */
    private static function numbersOf(array $row): array
    {
        return ['revision' => (int) $row['revision'], 'talk' => (int) $row['talk_revision'], 'people' => (int) $row['people_revision']];
    }
}
