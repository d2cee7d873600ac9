<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Models\Plan;
use App\Models\Share;
use App\Store\PlanFinder;
use App\Store\PlanOrder;
use Embrel\RichText\Node;
use Illuminate\Support\Facades\DB;

/** The list of plans: found by what is in them, in an order, tagged, several at once, duplicated. */
final class PlanListTest extends TestCase
{
    public function testTitlesTopicsAndSourcesOfAllOnesPlansAreLookedThrough(): void
    {
        $this->send(['type' => 'retitle', 'topic' => \Embrel\Plan\Plan::ROOT, 'title' => 'The creek']);
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Creeks and walls']);
        $source = ['id' => self::newId(), 'title' => 'Walls', 'kind' => 'book', 'authors' => [['family' => 'Creekmore', 'given' => 'Ada']]];
        $this->send(['type' => 'source', 'sources' => [$source]])->assertJsonPath('refused', []);
        $other = $this->start("Mud\n  Creek mouth");
        $foreign = $this->start('Creek of another', $this->account('ben'));
        $found = $this->found('creek');
        self::assertSame(
            [$this->row->id => ['title:The creek', 'topic:Creeks and walls', 'source:Walls'], $other->id => ['topic:Creek mouth']],
            array_map(self::named(...), $found),
        );
        $both = self::named($this->found('WALL creek')[$this->row->id]);
        self::assertSame(['topic:Creeks and walls', 'source:Walls'], $both, 'all words, in any order and case');
        Share::query()->create(['plan_id' => $foreign->id, 'user_id' => $this->user->id, 'role' => Role::Reads]);
        self::assertArrayHasKey($foreign->id, $this->found('creek'), 'one that may be read too');
        $this->send(['type' => 'remove', 'ids' => [$this->id('Creeks and walls')]]);
        self::assertCount(2, $this->found('creek')[$this->row->id]);
        $other->delete();
        self::assertArrayNotHasKey($other->id, $this->found('creek'));
    }

    public function testWhatIsLookedForMayBeAnything(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Zwölf 100% of 5_0 “q” 潮汐']);
        foreach (['100', 'zwolf', '潮汐', '5 0', '“q”'] as $typed) {
            self::assertCount(1, $this->found($typed), $typed);
        }
        foreach (['', ' ', '%', '_', '+-*"()<>~@', '\'; DROP TABLE plans; --', str_repeat('x ', 400), "\xFF\xFE", 'nothing like it'] as $typed) {
            self::assertSame([], $this->found($typed), $typed);
        }
        $this->get('/plans?' . http_build_query(['find' => '<script>alert(1)</script>']))
            ->assertOk()
            ->assertSee('Nothing found')
            ->assertDontSee('<script>alert(1)', false);
        $this->get('/plans?find[]=x&order[]=y&tag[]=z')->assertOk();
    }

    public function testNotesAreFoundByTheIndexAndByWordsThatItLeavesOut(): void
    {
        $block = self::newId();
        $put = [Node::plain(str_repeat('long ago ', 400) . 'the shelduck of it stands', $block)->toArray()];
        $this->send(['type' => 'note', 'topic' => $this->id('A1'), 'put' => $put, 'remove' => [], 'order' => [$block]])->assertOk();
        // The index sees what is committed.
        DB::commit();
        try {
            foreach (['shelduck', 'sheld', 'it shelduck the', 'SHELDUCK stands'] as $typed) {
                $hit = $this->found($typed)[$this->row->id][0];
                self::assertSame(['note', 'A1'], [$hit['in'], $hit['title']], $typed);
                self::assertLessThan(260, \strlen(implode('', $hit['text'])));
                self::assertStringContainsString('shelduck', implode('', $hit['text']));
            }
            self::assertSame([], $this->found('shelduck curlew'));
        } finally {
            app(\App\Store\PlanStore::class)->erase($this->row);
            $this->user->delete();
            DB::beginTransaction();
        }
    }

    public function testPlansAreOrdered(): void
    {
        Plan::query()->delete();
        $rows = [['B 10', '2026-12-20', 100, 20], ['b 9', null, null, 500], ['A', '2026-12-01', 100, 90]];
        foreach ($rows as $i => [$title, $due, $target, $words]) {
            $this->start('X')->update([
                'title' => $title,
                'due_on' => $due,
                'target_words' => $target,
                'words' => $words,
                'changed_at' => now()->subDays($i),
            ]);
        }
        $titles = fn(string $order): array => $this->get("/plans?order={$order}")->assertOk()->viewData('plans')->pluck('title')->all();
        self::assertSame(['B 10', 'b 9', 'A'], $titles(PlanOrder::Changed->value));
        self::assertSame(['A', 'B 10', 'b 9'], $titles(PlanOrder::Due->value));
        self::assertSame(['A', 'b 9', 'B 10'], $titles(PlanOrder::Title->value));
        self::assertSame(['A', 'B 10', 'b 9'], $titles(PlanOrder::Progress->value));
        self::assertSame(['B 10', 'b 9', 'A'], $titles('of my own'));
    }

    public function testSeveralAreTaggedAndPutAwayAtOnceAndNoneOfAnother(): void
    {
        $second = $this->start('Two');
        $foreign = $this->start('Theirs', $this->account('ben'));
        $all = [$this->row->id, $second->id, $foreign->id];
        $several = fn(array $body) => $this->from('/plans')->post('/plans/several', $body);
        $several(['plans' => $all, 'act' => 'tag', 'tag' => '  autumn  '])
            ->assertRedirect('/plans')
            ->assertSessionHas('said', '2 plans tagged “autumn”.');
        $several(['plans' => [$second->id], 'act' => 'tag', 'tag' => 'autumn']);
        self::assertSame(2, DB::table('plan_tags')->count());
        self::assertSame(['autumn' => 2], $this->get('/plans')->viewData('tags'));
        $several(['plans' => [$second->id], 'act' => 'untag', 'tag' => 'autumn']);
        self::assertSame([$this->row->id], $this->get('/plans?tag=autumn')->viewData('plans')->pluck('id')->all());
        $several(['plans' => $all, 'act' => 'put-away'])->assertSessionHas('said', '2 plans put away.');
        self::assertNull($foreign->refresh()->put_away_at);
        self::assertSame(2, $this->get('/plans')->viewData('counts')['putAway']);
        $several(['plans' => [$this->row->id], 'act' => 'take-out'])->assertSessionHas('said', 'One plan taken out again.');
        foreach ([[], ['plans' => ['x']], ['plans' => $all, 'act' => 'burn'], ['plans' => 'all']] as $bad) {
            $several($bad + ['act' => 'tag', 'tag' => 'x'])->assertSessionHasErrors();
        }
        $several(['plans' => $all, 'act' => 'tag', 'tag' => ' '])->assertSessionHasErrors(['tag' => 'A tag needs a name.']);
        $several(['plans' => $all, 'act' => 'tag', 'tag' => str_repeat('x', 61)])->assertSessionHasErrors('tag');
    }

    public function testADuplicateIsAPlanOfItsOwn(): void
    {
        $this->send(['type' => 'plan', 'set' => ['target' => 500, 'due' => '2026-12-20']]);
        $this->post("/plans/{$this->row->id}/duplicate")->assertRedirect('/plans');
        $made = Plan::query()->where('title', 'like', '% (copy)')->sole();
        self::assertSame([500, 1, $this->user->id], [$made->target_words, $made->revision, $made->owner_id]);
        self::assertSame($this->outline(), \Tests\Core\Build\Build::outline(app(\App\Store\PlanStore::class)->load($made)));
        $this->get("/plans/{$made->id}/small-map")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->assertSee('A1');
    }

    /**
     * @param list<array<string, mixed>> $hits
     *
     * @return list<string>
     */
    private static function named(array $hits): array
    {
        return array_map(static fn(array $hit): string => "{$hit['in']}:{$hit['title']}", $hits);
    }

    /** @return array<string, list<array<string, mixed>>> plan → hits */
    private function found(string $typed): array
    {
        $found = [];
        foreach (app(PlanFinder::class)->find($this->user, $typed) as ['plan' => $plan, 'hits' => $hits]) {
            $found[$plan->id] = $hits;
        }

        return $found;
    }
}
