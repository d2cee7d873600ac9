<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\PlanStore;
use Embrel\Plan\Plan;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Core\Build\Build;

/** Patterns over HTTP: kept, seen, started from, set under a topic, removed. */
final class PatternsTest extends TestCase
{
    /** @param array<string, mixed> $given */
    private function keep(array $given = []): TestResponse
    {
        $given += ['name' => 'Mine', 'from' => null, 'notes' => true, 'targets' => true];

        return $this->actingAs($this->user)->postJson("/plans/{$this->row->id}/pattern", $given);
    }

    private function set(string $pattern, string $under): TestResponse
    {
        return $this->actingAs($this->user)->postJson(
            "/plans/{$this->row->id}/patterns",
            ['id' => self::newId(), 'base' => $this->row->refresh()->revision, 'pattern' => $pattern, 'under' => $under],
        );
    }

    public function testOneIsKeptSeenAndStartedFrom(): void
    {
        $before = Build::outline($this->plan());
        $id = $this->keep()->assertOk()->json('id');
        self::assertSame($id, $this->keep()->assertOk()->json('id'), 'One of that name is kept anew.');
        $all = $this->getJson('/patterns')->assertOk()->json('patterns');
        self::assertSame([$id, 'Mine', true], [$all[0]['id'], $all[0]['name'], $all[0]['own']]);
        self::assertCount(11, $all);
        $this->get('/plans')->assertOk()->assertSee('Mine');

        $made = $this->post('/plans', ['title' => 'Another', 'pattern' => $id])->assertRedirect();
        $plan = \App\Models\Plan::query()->findOrFail(basename((string) $made->headers->get('Location')));
        self::assertSame($before, Build::outline(app(PlanStore::class)->load($plan)));
        self::assertSame('Another', $plan->title);

        $this->delete("/patterns/{$id}")->assertRedirect('/plans');
        $this->post('/plans', ['title' => 'Another', 'pattern' => $id])->assertSessionHasErrors('pattern');
        $this->post('/plans', ['title' => 'Another', 'pattern' => ['x']])->assertSessionHasErrors('pattern');
        $this->delete("/patterns/{$id}")->assertNotFound();
    }

    public function testOneIsSetUnderATopicAndUndoneInOneStep(): void
    {
        $before = Build::outline($this->plan());
        $this->set('argument', $this->id('B'))->assertOk();
        self::assertStringContainsString("  The claim\n    What it says\n", Build::outline($this->plan()));
        $this->step('undo')->assertOk();
        self::assertSame($before, Build::outline($this->plan()));
        $this->set('nothing', $this->id('B'))->assertNotFound();
        $this->set('argument', self::newId())->assertNotFound();
    }

    public function testWhatCannotBeOneIsRefusedInWords(): void
    {
        self::assertSame('Give the pattern a name.', $this->keep(['name' => ''])->assertUnprocessable()->json('message'));
        $this->keep(['name' => str_repeat('x', 121)])->assertUnprocessable();
        $this->keep(['from' => self::newId()])->assertNotFound();
        $nothing = $this->keep(['from' => $this->id('A1')])->assertUnprocessable()->json('message');
        self::assertStringContainsString('at least one topic', $nothing);
        $this->keep(['from' => 'x'])->assertUnprocessable();
        $this->keep(['from' => Plan::ROOT])->assertOk();
    }

    public function testOnesPatternsAreInTheDownloadOfEverything(): void
    {
        $this->keep()->assertOk();
        $path = $this->get('/account/download')->assertOk()->getFile()->getPathname();
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        self::assertStringContainsString('text="A1"', (string) $zip->getFromName('patterns/01 Mine.opml'));
        unlink($path);
    }

    public function testTheListOfPlansShowsPatternsWithoutReadingThem(): void
    {
        $this->keep(['name' => 'Large & <b>mine</b>'])->assertOk();
        $read = [];
        DB::listen(static function (QueryExecuted $query) use (&$read): void {
            preg_match('/from `patterns`/', $query->sql) === 1 && $read[] = $query->sql;
        });
        $pages = [$this->get('/plans')->assertOk()->getContent(), $this->getJson('/patterns')->json('choices')];
        foreach ($pages as $page) {
            self::assertStringContainsString('Large &amp; &lt;b&gt;mine', $page);
            self::assertStringContainsString('<span class="main"', $page);
        }
        self::assertCount(2, $read);
        self::assertSame([], preg_grep('/`body`|\*/', $read));
    }

    public function testAnothersPatternIsNotThere(): void
    {
        $id = $this->keep()->assertOk()->json('id');
        $other = $this->account('ben');
        $this->actingAs($other)->delete("/patterns/{$id}")->assertNotFound();
        self::assertCount(10, $this->actingAs($other)->getJson('/patterns')->json('patterns'));
        $this->actingAs($other)->post('/plans', ['title' => 'Mine?', 'pattern' => $id])->assertSessionHasErrors('pattern');
    }
}
