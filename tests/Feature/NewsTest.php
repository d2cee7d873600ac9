<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Store\NewIds;
use App\Store\News;
use App\Store\PlanStore;
use App\Store\PlanView;
use App\Store\StepBack;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Retitle;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Tests\Core\Build\Build;
use Tests\Core\Build\Chance;

/** What a page is told of a plan: whoever takes in what is new has the plan as it is. */
final class NewsTest extends TestCase
{
    private const ROUNDS = 40;

    public function testWhoTakesInWhatIsNewHasThePlanAsItIsWhoeverChangedIt(): void
    {
        $store = app(PlanStore::class);
        $people = [$this->user, $this->account('ben')];
        foreach ([3, 5, 11] as $seed) {
            mt_srand($seed);
            $chance = new Chance(new NewIds());
            $this->row = $store->create($this->user, $chance->plan());
            $pages = array_fill(0, 4, [$this->whole(), 1]);
            for ($round = 0; $round < self::ROUNDS; ++$round) {
                $who = $people[mt_rand(0, 1)];
                // The first two are the pages of the two who write: each answer goes to the page that has sent the change.
                $own = $who === $people[0] ? 0 : 1;
                [$page, $base] = $pages[$own];
                $pages[$own] = [$this->taken($page, $this->did($who, $base, $chance)), $this->row->refresh()->revision];
                self::assertSame($this->whole(), $pages[$own][0], "own answer, seed {$seed}, round {$round}");
                if (mt_rand(0, 2) === 0) {
                    $other = mt_rand(2, 3);
                    [$page, $base] = $pages[$other];
                    $news = News::since($this->row, $this->user, $base);
                    $pages[$other] = [$news === null ? $page : $this->taken($page, self::sent($news)), $this->row->revision];
                    self::assertSame($this->whole(), $pages[$other][0], "news, seed {$seed}, round {$round}");
                }
            }
        }
    }

    /** @return array<string, mixed> the answer */
    private function did(User $who, int $base, Chance $chance): array
    {
        $store = app(PlanStore::class);
        if (mt_rand(0, 5) === 0) {
            try {
                $answer = app(StepBack::class)->undo($this->row->refresh(), $who, $base);
            } catch (OperationRefused) {
                $answer = ['nothing' => true];
            }
            if (!isset($answer['nothing'])) {
                return self::sent($answer);
            }
        }
        $plan = $store->load($this->row->refresh(), true);
        $changes = array_map(static fn() => $store->change($chance->operation($plan)), range(0, mt_rand(0, 1)));

        return self::sent(News::of($this->row, $who, $base, $store->apply($this->row, $who, $changes, mt_rand(0, 3) === 0)));
    }

    /**
     * @param array<string, mixed> $answer
     *
     * @return array<string, mixed> as it comes over the wire
     */
    private static function sent(array $answer): array
    {
        return json_decode((string) json_encode($answer), true);
    }

    public function testOneNewTitleAmongFiveThousandTopicsIsTwoKilobytes(): void
    {
        $lines = '';
        for ($i = 0; $i < 5000; ++$i) {
            $lines .= ($i % 250 === 0 ? '' : ($i % 10 === 1 ? '  ' : ($i % 250 < 10 ? '  ' : '    '))) . "Topic number {$i}\n";
        }
        $this->row = $this->start(rtrim($lines));
        $plan = $this->plan(false);
        $section = $plan->parts(Plan::ROOT)[7];
        $under = $plan->parts($section)[3];
        foreach ([$section, $under] as $id) {
            $base = $this->row->refresh()->revision;
            $ids = ['id' => self::newId(), 'step' => self::newId()];
            $operation = $ids + ['type' => 'retitle', 'topic' => $id, 'title' => 'Called otherwise'];
            $read = self::rowsRead();
            \DB::enableQueryLog();
            \DB::flushQueryLog();
            $own = $this->postJson("/plans/{$this->row->id}/operations", ['base' => $base, 'operations' => [$operation]])->assertOk();
            $news = $this->getJson("/plans/{$this->row->id}/changes?since={$base}")->assertOk();
            self::assertLessThan(500, self::rowsRead() - $read, 'no tree is loaded');
            self::assertStringNotContainsString('`trees`', self::asked(), 'nor one that was kept');
            foreach ([$own, $news] as $answer) {
                self::assertLessThan(2048, \strlen((string) $answer->getContent()));
                self::assertSame([$id], array_column($answer->json('topics'), 'id'));
                self::assertSame('Called otherwise', $answer->json('topics.0.title'));
            }
            self::assertSame('Called otherwise', $this->plan(false)->topic($id)->title);
        }
        \DB::flushQueryLog();
        app(PlanStore::class)->load($this->row->refresh());
        self::assertStringContainsString('`trees`', self::asked(), 'one that is kept is seen');
        \DB::table('trees')->delete();
        $read = self::rowsRead();
        app(PlanStore::class)->load($this->row);
        self::assertGreaterThan(5000, self::rowsRead() - $read, 'a tree that is loaded is seen');
        self::assertContains('Called otherwise', array_column($this->row->strip ?? [], 'title'), 'in the strip too');
    }

    /** All that the database was asked. */
    private static function asked(): string
    {
        return implode("\n", array_column(\DB::getQueryLog(), 'query'));
    }

    /** How many rows the database has read for this connection so far. */
    private static function rowsRead(): int
    {
        return (int) array_sum(array_column(\DB::select("SHOW SESSION STATUS LIKE 'Handler_read%'"), 'Value'));
    }

    public function testAMoveIsToldAsRunsOfNumbersWithoutTheTopicsThatStay(): void
    {
        $this->row = $this->start(implode("\n", array_map(static fn(int $i): string => "T{$i}", range(1, 400))));
        $base = $this->row->refresh()->revision;
        $this->send(['type' => 'move', 'ids' => [$this->id('T400')], 'at' => ['parent' => Plan::ROOT, 'after' => null]])->assertOk();
        $answer = $this->getJson("/plans/{$this->row->id}/changes?since={$base}")->assertOk();
        self::assertSame(['T400'], array_column($answer->json('topics'), 'title'));
        self::assertCount(1, $answer->json('numbers.runs'));
        self::assertFalse($answer->json('numbers.all'));
    }

    public function testWhatSeveralChangesLedBackToIsToldToThePageThatSentThem(): void
    {
        // The page shows the first of them at once: a loose idea without a number.
        $c = $this->id('C');
        $base = $this->row->refresh()->revision;
        $away = ['type' => 'move', 'ids' => [$c], 'at' => ['parent' => Plan::TRAY, 'after' => null]];
        $back = ['type' => 'move', 'ids' => [$c], 'at' => ['parent' => Plan::ROOT, 'after' => $this->id('B')]];
        foreach ([[[$away, $back]], [[$away], [$back]]] as $batches) {
            foreach ($batches as $batch) {
                $answer = $this->postJson("/plans/{$this->row->id}/operations", [
                    'base' => $base,
                    'operations' => array_map(
                        static fn(array $one): array => $one + ['id' => self::newId(), 'step' => self::newId()],
                        $batch,
                    ),
                ])->assertOk();
            }
            self::assertContains(['parent' => Plan::ROOT, 'from' => 2, 'own' => ['3']], $answer->json('numbers.runs'));
            self::assertSame($this->id('B'), array_column($answer->json('topics'), 'after', 'id')[$c]);
            $base = $answer->json('revision');
        }
    }

    public function testWhatThePageShowedMeanwhileIsToldWithTheNextAnswer(): void
    {
        // It has let an empty topic go, in which another has written: its first answer was passed over.
        $empty = self::newId();
        $this->send([
            'type' => 'add',
            'at' => ['parent' => Plan::ROOT, 'after' => null],
            'topics' => [['id' => $empty, 'title' => '']],
        ])->assertOk();
        $base = $this->row->refresh()->revision;
        app(PlanStore::class)->insist($this->row, $this->account('ben'), app(PlanStore::class)->change(new Retitle($empty, 'Theirs')));
        $this->send(['type' => 'drop', 'ids' => [$empty]])->assertOk();
        $answer = $this->postJson("/plans/{$this->row->id}/operations", [
            'base' => $base,
            'shown' => [$empty],
            'operations' => [
                ['id' => self::newId(), 'step' => self::newId(), 'type' => 'flag', 'ids' => [$this->id('C')], 'value' => 'key'],
            ],
        ])->assertOk();
        self::assertSame(['Theirs', null], [
            array_column($answer->json('topics'), 'title', 'id')[$empty],
            array_column($answer->json('topics'), 'after', 'id')[$empty],
        ]);
        $bad = ['base' => $base, 'shown' => ['x'], 'operations' => []];
        $this->postJson("/plans/{$this->row->id}/operations", $bad)->assertStatus(422);
    }

    public function testWhatThePageMadeAndAnotherTookBackMeanwhileIsToldAsGone(): void
    {
        // It was added, and passed over in the answer; the same person took it back in another window.
        $moves = ['type' => 'move', 'at' => ['parent' => $this->id('C'), 'after' => null]];
        foreach ([['type' => 'flag', 'value' => 'key'], $moves] as $next) {
            $made = self::newId();
            $base = $this->row->refresh()->revision;
            $this->send(['type' => 'add', 'at' => ['parent' => Plan::TRAY, 'after' => null], 'topics' => [['id' => $made, 'title' => 'X']]])
                ->assertOk();
            $this->postJson("/plans/{$this->row->id}/undo", ['base' => $this->row->refresh()->revision])->assertOk();
            $answer = $this->postJson("/plans/{$this->row->id}/operations", [
                'base' => $base,
                'shown' => [$made],
                'operations' => [['id' => self::newId(), 'step' => self::newId(), 'ids' => [$this->id('A')]] + $next],
            ])->assertOk();
            self::assertSame([], $answer->json('refused'));
            self::assertContains($made, $answer->json('removed'));
        }
    }

    public function testWhatIsMovedWhileItIsToldIsToldWithItsPlaceThen(): void
    {
        $store = app(PlanStore::class);
        $other = $this->account('ben');
        $base = $this->row->refresh()->revision;
        $page = $this->whole();
        $store->insist($this->row, $other, $store->change(new Retitle($this->id('A1'), 'Called otherwise')));
        $asked = $this->row->refresh()->replicate(except: [])->forceFill(['id' => $this->row->id]);
        $move = new MoveTopics([$this->id('Called otherwise')], new Place($this->id('C'), null));
        $store->insist($this->row, $other, $store->change($move));
        // The log was read before the move, the row after it.
        $page = $this->taken($page, self::sent(News::since($asked, $this->user, $base) ?? []));
        $page = $this->taken($page, self::sent(News::since($this->row->refresh(), $this->user, $asked->revision) ?? []));
        self::assertSame($this->whole(), $page);
    }

    public function testATitleThatIsANoughtIsATitle(): void
    {
        $this->row = $this->start("0\nNext");
        self::assertSame(['0', 'Next'], array_column(array_values($this->whole()['topics']), 'title'));
    }

    public function testWhoIsFarBehindIsToldTheWhole(): void
    {
        $store = app(PlanStore::class);
        $a = $this->id('A');
        $base = $this->row->revision;
        for ($i = 0; $i < 6; ++$i) {
            $store->apply($this->row, $this->user, array_map(
                static fn(int $n) => $store->change(new Retitle($a, "A{$n}")),
                range($i * 100, $i * 100 + 99),
            ));
        }
        $answer = $this->getJson("/plans/{$this->row->id}/changes?since={$base}")->assertOk();
        self::assertTrue($answer->json('whole'));
        self::assertSame($this->whole(), $this->taken([], $answer->json()));
    }

    // ---- A page, as it keeps a plan

    /** @return array<string, mixed> */
    private function whole(): array
    {
        $this->row->refresh();
        $plan = app(PlanStore::class)->load($this->row);
        $told = self::sent(PlanView::whole($this->row, $plan));
        $topics = $parts = [];
        foreach ($told['topics'] as $topic) {
            $topics[$topic['id']] = $topic + self::usual();
            $parts[$topic['parent']][] = $topic['id'];
        }

        return self::settled(['topics' => $topics, 'parts' => $parts] + array_intersect_key($told, self::KEPT));
    }

    private const KEPT = ['figures' => 1, 'relations' => 1, 'strip' => 1, 'words' => 1, 'title' => 1, 'target' => 1, 'properties' => 1];

    /** @return array<string, mixed> */
    private static function usual(): array
    {
        $bare = PlanView::topic(new \Embrel\Plan\Topic(Build::ulid(1)), '');

        return $bare + ['label' => ''];
    }

    /**
     * @param array<string, mixed> $page
     * @param array<string, mixed> $answer
     *
     * @return array<string, mixed>
     */
    private function taken(array $page, array $answer): array
    {
        $topics = $page['topics'] ?? [];
        $parts = $page['parts'] ?? [];
        $take = static function (string $id) use (&$parts): void {
            foreach ($parts as $parent => $ids) {
                $parts[$parent] = array_values(array_diff($ids, [$id]));
            }
        };
        $known = $answer['whole'] ? array_diff(array_keys($topics), array_column($answer['topics'], 'id')) : $answer['removed'];
        foreach ($answer['topics'] as $row) {
            $id = $row['id'];
            if (\array_key_exists('after', $row)) {
                $take($id);
                $at = $row['after'] === null ? 0 : (int) array_search($row['after'], $parts[$row['parent']] ?? [], true) + 1;
                $siblings = $parts[$row['parent']] ?? [];
                array_splice($siblings, $at, 0, [$id]);
                $parts[$row['parent']] = $siblings;
            } else {
                $stands = $topics[$id]['parent'] ?? null;
                self::assertNotNull($stands, 'a topic that is new is told with its place');
                self::assertSame($row['parent'] ?? $stands, $stands, 'a topic is told with its place when that is new');
            }
            unset($row['after']);
            $topics[$id] = $row + ($topics[$id] ?? self::usual());
        }
        foreach ($known as $id) {
            $take($id);
            unset($topics[$id]);
        }
        if ($answer['numbers']['all']) {
            $topics = array_map(static fn(array $topic): array => ['label' => ''] + $topic, $topics);
        }
        foreach ($answer['numbers']['runs'] as $run) {
            foreach ($run['own'] ?? [] as $i => $label) {
                $topics[$parts[$run['parent']][$run['from'] + $i]]['label'] = $label;
            }
            for ($under = isset($run['under']) ? $parts[$run['under']] ?? [] : []; $under !== [];) {
                $id = array_pop($under);
                $label = $topics[$id]['label'] ?? '';
                if (str_starts_with($label, "{$run['was']}.")) {
                    $topics[$id]['label'] = $run['is'] . substr($label, \strlen($run['was']));
                }
                array_push($under, ...$parts[$id] ?? []);
            }
        }
        $page = ['topics' => $topics, 'parts' => $parts, 'figures' => $answer['figures'] + ($page['figures'] ?? [])]
            + array_intersect_key($answer, self::KEPT)
            + $page;
        foreach ($page['strip'] as &$section) {
            ['title' => $section['title'], 'dye' => $dye] = $topics[$section['id']];
            $section['dye'] = $dye ?? 'slate';
        }

        return self::settled($page);
    }

    /**
     * In an order that does not depend on how it came to be.
     *
     * @param array<string, mixed> $page
     *
     * @return array<string, mixed>
     */
    private static function settled(array $page): array
    {
        $live = $page['topics'] + [Plan::ROOT => 1];
        $page['figures'] = array_intersect_key($page['figures'], $live);
        $page['parts'] = array_filter($page['parts']);
        usort($page['relations'], static fn(array $a, array $b): int => strcmp($a['id'], $b['id']));
        $sort = static function (array &$what) use (&$sort): void {
            array_is_list($what) || ksort($what, SORT_STRING);
            foreach ($what as &$one) {
                \is_array($one) && $sort($one);
            }
        };
        $sort($page);

        return $page;
    }
}
