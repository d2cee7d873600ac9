<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\ChecksToken;
use App\Models\Plan;
use Database\Seeders\SampleSeeder;
use Embrel\Intake\Pattern;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

final class PlansTest extends TestCase
{
    public function testStartWithANameOrAPattern(): void
    {
        $this->post('/plans', ['title' => ' '])->assertSessionHasErrors('title');
        $this->post('/plans', ['title' => 'On Tides'])->assertRedirect();
        self::assertSame('Ada', Plan::query()->where('title', 'On Tides')->sole()->getAttribute('author'));
        foreach (Pattern::cases() as $pattern) {
            $this->post('/plans', ['title' => "A {$pattern->value}", 'pattern' => $pattern->value])->assertRedirect();
            $this->row = Plan::query()
                ->where('title', "A {$pattern->value}")
                ->sole();
            self::assertSame(
                $pattern->sections(),
                array_map(fn(string $id): string => $this->plan()->topic($id)->title, $this->plan()->parts(\Embrel\Plan\Plan::ROOT)),
            );
        }
    }

    public function testRenamePutAwayDeleteAndBringBack(): void
    {
        $address = "/plans/{$this->row->id}";
        $this->patch($address, ['title' => 'Renamed'])->assertRedirect();
        $this->get('/plans')->assertSee('Renamed');
        $this->patch($address, ['put_away' => 1]);
        $this->get('/plans')->assertDontSee('Renamed');
        $this->get('/plans?shelf=put-away')->assertSee('Renamed');
        $this->patch($address, ['put_away' => 0]);
        $this->delete($address)->assertRedirect('/plans');
        $this->get($address)->assertNotFound();
        $this->get('/plans?shelf=put-away')->assertSee('kept until');
        $this->post("{$address}/restore")->assertRedirect('/plans');
        $this->get($address)->assertOk();
    }

    public function testDeletedPlansAreKeptThirtyDays(): void
    {
        $this->row->delete();
        self::assertSame(0, Artisan::call('embrel:purge'));
        self::assertNotNull(Plan::withTrashed()->find($this->row->id));
        Plan::withTrashed()
            ->where('id', $this->row->id)
            ->update(['deleted_at' => now()->subDays(31)]);
        self::assertSame(0, Artisan::call('embrel:purge'));
        self::assertNull(Plan::withTrashed()->find($this->row->id));
    }

    /** @return array<string, string> what stands in the addresses of routes → of this plan, or of nothing */
    private function addressed(): array
    {
        return [
            'plan' => $this->row->id,
            'topic' => $this->id('A'),
            'token' => 'x',
            'seq' => '1',
            'picture' => str_repeat('a', 64),
            'person' => '999999',
            'account' => '999999',
        ] + array_fill_keys(['attachment', 'task', 'style', 'template', 'pattern'], self::newId())
            + array_fill_keys(['invitation', 'comment', 'vote', 'notice', 'sending', 'letter'], self::newId());
    }

    /** Another account's plan is not there, on any route; and no route is open to someone not signed in. */
    public function testEveryRouteKeepsOthersOut(): void
    {
        $mine = $this->addressed();
        $query = ['parent' => \Embrel\Plan\Plan::ROOT];
        $body = [
            'base' => 0,
            'operations' => [['id' => self::newId(), 'step' => self::newId(), 'type' => 'remove', 'ids' => [$this->id('A')]]],
            'title' => 'Stolen',
            'folded' => [],
            'dimmed' => false,
            'chosen' => ['x'],
            'text' => 'A',
            'name' => 'x',
            'id' => self::newId(),
            'from' => $this->row->id,
            'topics' => [],
            'parent' => \Embrel\Plan\Plan::ROOT,
        ];
        $walked = 0;
        $this->actingAs($this->account('mallory'));
        foreach ($this->planRoutes() as [$method, $uri]) {
            $this->json($method, $this->address($uri, $mine) . '?' . http_build_query($query), $body)->assertNotFound();
            ++$walked;
        }
        $this->postJson('/intake', ['text' => "x\ny", 'into' => $this->row->id])->assertNotFound();
        self::assertGreaterThanOrEqual(14, $walked);
        Auth::logout();
        foreach (Route::getRoutes() as $route) {
            if (\in_array('auth', $route->gatherMiddleware(), true)) {
                $this->json($route->methods()[0], $this->address($route->uri(), $mine))->assertUnauthorized();
            }
        }
        self::assertStringStartsWith('A', $this->outline());
        self::assertSame('Test plan', $this->row->refresh()->title);
    }

    /** Whatever comes in the place of a text: the answer may be no, but never a failure of ours. */
    public function testNoParameterBreaksAnyRoute(): void
    {
        $mine = $this->addressed();
        $names = [
            'to',
            'by',
            'signature',
            'expires',
            'since',
            'value',
            'subject',
            'shelf',
            'email',
            'into',
            'text',
            'with',
            'within',
            'whole',
            'before',
            'title',
            'name',
            'pattern',
            'format',
            'from',
            'numbering',
            'parent',
            'after',
            'topics',
            'base',
            'operations',
            'folded',
            'focus',
            'dimmed',
            'chosen',
            'password',
            'time_zone',
            'id',
            'map',
            'keep',
            'picture',
            'paper',
            'several',
            'arrangement',
            'style',
            'seen',
            'ground',
            'fonts',
            'width',
            'height',
        ];
        foreach ([['x' => 'y'], [['deep']], 'ÿ' . str_repeat('%00', 3), -1] as $hostile) {
            foreach (Route::getRoutes() as $route) {
                if (
                    preg_match('#^(?:account|sign-out|up|storage)|^plans/\{plan\}$#', $route->uri()) === 1
                    && $route->methods()[0] !== 'GET'
                ) {
                    continue;
                }
                $values = array_fill_keys($names, $hostile);
                \in_array('guest', $route->gatherMiddleware(), true) ? Auth::logout() : $this->actingAs($this->user);
                foreach ([$this->json(...), fn(string $method, string $uri, array $data) => $this->call($method, $uri, $data)] as $ask) {
                    $answer = $ask(
                        $route->methods()[0],
                        $this->address($route->uri(), $mine) . ($route->methods()[0] === 'GET' ? '?' . http_build_query($values) : ''),
                        $values,
                    );
                    self::assertLessThan(500, $answer->getStatusCode(), "{$route->methods()[0]} {$route->uri()}: " . json_encode($hostile));
                }
            }
        }
    }

    public function testAPulseTellsWhetherAPlanHasChangedAndNothingElse(): void
    {
        $address = \App\Http\Controllers\PulseController::address($this->user, $this->row);
        Auth::logout();
        $this->get("{$address}&since=1")->assertNoContent();
        $this->get("{$address}&since=0")->assertExactJson(['revision' => 1]);
        $this->get(substr($address, 0, -1) . (str_ends_with($address, '0') ? '1' : '0'))->assertNotFound();
        $this->get(str_replace($this->row->id, $this->start('Other', $this->account('mallory'))->id, $address))->assertNotFound();
        $this->row->delete();
        $this->get("{$address}&since=0")->assertNotFound();
    }

    /** @return iterable<array{string, string}> */
    private function planRoutes(): iterable
    {
        foreach (Route::getRoutes() as $route) {
            if (str_contains($route->uri(), '{plan}')) {
                yield [$route->methods()[0], $route->uri()];
            }
        }
    }

    /** @param array<string, string> $values */
    private function address(string $uri, array $values): string
    {
        return '/' . ltrim((string) preg_replace_callback('/\{(\w+)\}/', static fn(array $m): string => $values[$m[1]] ?? 'x', $uri), '/');
    }

    public function testTheOutlineOfALargeBookTakesFewQueries(): void
    {
        app(SampleSeeder::class)->run();
        $book = Plan::query()->where('title', 'A Year at the Bell Foundry')->sole();
        $this->actingAs($book->owner);
        DB::enableQueryLog();
        $this->get("/plans/{$book->id}")
            ->assertOk()
            ->assertSee('Lip, waist and shoulder');
        self::assertLessThanOrEqual(12, \count(DB::getQueryLog()));
    }

    public function testTheSampleIsLoadedOnceHoweverOftenItIsAsked(): void
    {
        app(SampleSeeder::class)->run();
        $count = Plan::query()->count();
        app(SampleSeeder::class)->run();
        self::assertSame($count, Plan::query()->count());
    }

    public function testTheSampleAccountOpensInTheLocalEnvironmentOnly(): void
    {
        app(SampleSeeder::class)->run();
        Auth::logout();
        $this->post('/sample')->assertNotFound();
        $this->withoutMiddleware(ChecksToken::class);
        $this->app['env'] = 'local';
        $this->post('/sample')->assertRedirect('/plans');
        self::assertSame(config('embrel.sample_email'), Auth::user()?->email);
    }

    public function testHandOverPreviewAndFiles(): void
    {
        $this->send([
            'type' => 'note',
            'topic' => $this->id('A1'),
            'put' => [
                ['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => 'Note <b> text']]],
            ],
        ]);
        $address = "/plans/{$this->row->id}/hand-over";
        $this->get($address)->assertOk()->assertSee('holds for this hand-over only');
        $this->get("{$address}/preview?numbering=essay")
            ->assertOk()
            ->assertSee('Note &lt;b&gt; text', false)
            ->assertSee('II.');
        $this->get("{$address}/preview?notes=0")->assertDontSee('Note &lt;b&gt;', false);
        self::assertSame(
            "Test plan\n\n1 A\n  1.1 A1\n  1.2 A2\n2 B\n  2.1 B1\n3 C\n",
            $this->get("{$address}/file?format=txt&notes=0")->streamedContent(),
        );
        self::assertSame(
            "A\n\n1.1 A1\n1.2 A2\n",
            $this->get("{$address}/file?format=txt&notes=0&from=" . $this->id('A'))->streamedContent(),
        );
        self::assertStringStartsWith(
            'PK',
            $this->get("{$address}/file?format=docx")
                ->assertHeader('content-disposition', 'attachment; filename="Test plan.docx"')
                ->streamedContent(),
        );
        $this->getJson("{$address}/file?format=exe")->assertStatus(422);
        $this->get("{$address}/file?from=" . self::newId())->assertNotFound();
        self::assertSame('decimal', $this->row->refresh()->getAttribute('numbering'));
    }

    public function testIntakeShowsTheTreeAndThenKeepsItAsAPlanOrABranch(): void
    {
        $file = static fn(): UploadedFile => UploadedFile::fake()->createWithContent(
            'Notes from the creek.md',
            "# One\n\ntext\n\n## Two\n",
        );
        $this->postJson('/intake/preview', ['file' => $file()])
            ->assertOk()
            ->assertJsonPath('title', 'Notes from the creek')
            ->assertJsonPath('count', 2)
            ->assertJsonPath('rows.1.level', 2);
        $before = Plan::query()->count();
        $this->postJson('/intake', ['file' => $file()])->assertOk();
        self::assertSame($before + 1, Plan::query()->count());
        $this->postJson('/intake', ['text' => "X\n\tY", 'title' => 'Taken', 'into' => $this->row->id])->assertOk();
        self::assertStringEndsWith("C\nTaken\n  X\n    Y", $this->outline());
        $this->step('undo')->assertOk();
        self::assertStringEndsWith("\nC", $this->outline());
    }

    public function testAnIntakeThatCannotBeReadSaysWhyAndKeepsNothing(): void
    {
        $before = Plan::query()->count();
        foreach (
            [
                'bad.opml' => '<opml><body><outline',
                'empty.txt' => '',
                'dtd.opml' => '<!DOCTYPE opml><opml><body/></opml>',
                'binary.txt' => "good\n\xC3\x28",
                'picture.png' => 'x',
            ] as $name => $content
        ) {
            $answer = $this->postJson('/intake', ['file' => UploadedFile::fake()->createWithContent($name, $content)])->assertStatus(422);
            self::assertNotSame('', $answer->json('message'), $name);
        }
        self::assertSame($before, Plan::query()->count());
    }

    public function testPagesForbidForeignScripts(): void
    {
        $policy = (string) $this->get("/plans/{$this->row->id}")->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self';", $policy);
        $this->row->update(['title' => '</script><script>alert(1)</script>']);
        DB::table('topics')
            ->where('plan_id', $this->row->id)
            ->update(['title' => '</script><img src=x onerror=alert(1)>']);
        $page = (string) $this->get("/plans/{$this->row->id}")->getContent();
        self::assertStringNotContainsString('<img src=x', $page);
        self::assertStringNotContainsString('<script>alert', $page);
    }

    public function testFoldsAreEachPersonsOwn(): void
    {
        $this->putJson("/plans/{$this->row->id}/folds", ['folded' => [$this->id('A')]])->assertNoContent();
        $this->get("/plans/{$this->row->id}")->assertSee('"folds":["' . $this->id('A') . '"]', false);
        $this->putJson("/plans/{$this->row->id}/folds", ['folded' => []])->assertNoContent();
        $this->get("/plans/{$this->row->id}")->assertSee('"folds":[]', false);
    }

    public function testTheSampleReportIsARealDraftAndTheBookHasItsFirstMonth(): void
    {
        app(SampleSeeder::class)->run();
        $report = Plan::query()->where('title', 'Bringing Back the Tide')->sole();
        $this->actingAs($report->owner);
        $html = $this->get("/plans/{$report->id}/hand-over/file?format=html&figures=1")
            ->assertOk()
            ->streamedContent();
        self::assertSame(
            2,
            preg_match_all('/<figure[^>]*>\s*<img [^>]*alt="[^"]{20,}"[^>]*>\s*<figcaption>Figure \d\. [^<]{10,}<\/figcaption>/', $html),
        );
        $book = Plan::query()->where('title', 'A Year at the Bell Foundry')->sole();
        $january = $this->get("/plans/{$book->id}/hand-over/file?format=md")
            ->assertOk()
            ->streamedContent();
        self::assertGreaterThan(500, str_word_count(explode('February', $january)[1] ?? ''), 'The first chapter has text.');
    }
}
