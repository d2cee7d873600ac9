<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\Attachments;
use Embrel\Plan\Plan;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Facade;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Every route with hostile addresses, queries, bodies, headers and encodings, at random but the same
 * for the same seed: none answers that it has failed, and every answer carries our headers.
 *
 * A longer run by hand: EMBREL_HOSTILE_FOR=3600 (seconds), and EMBREL_HOSTILE_SEED for another one.
 */
final class HostileRequestsTest extends TestCase
{
    private const ROUNDS = 4;
    private const MEMORY = 256 * 1024 * 1024;
    /** Texts of which some program has fallen over. */
    private const TEXTS = [
        '',
        ' ',
        '0',
        '-1',
        '1e999',
        '99999999999999999999',
        'null',
        "\u{FEFF}",
        "\u{202E}abc",
        'ﬀ',
        '%00',
        '%ff',
        '../../etc/passwd',
        '..%2f',
        '<script>',
        "'; --",
        '{}',
        '[]',
        '${7*7}',
        "a\r\nSet-Cookie: a=b",
        '2024-02-30',
        'Ａ',
        '🏴‍☠️',
        'a@b',
        'file:///etc/passwd',
        'http://127.0.0.1/',
        'data:text/html,x',
    ];

    private Randomizer $random;
    /** @var array<string, string> what went wrong → the first request that it went wrong with */
    private array $found = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutMiddleware(ThrottleRequests::class);
    }

    public function testNoRouteFallsOverAndEveryAnswerCarriesItsHeaders(): void
    {
        $seed = (int) (getenv('EMBREL_HOSTILE_SEED') ?: 1);
        $until = time() + (int) (getenv('EMBREL_HOSTILE_FOR') ?: 0);
        $this->random = new Randomizer(new Mt19937($seed));
        $examples = $this->examples();
        $round = 0;
        do {
            foreach ($this->routes() as [$method, $uri]) {
                $this->ask($method, $uri, $examples["{$method} {$uri}"] ?? [], "seed {$seed}, round {$round}");
            }
            // What the stand-ins for mail, cache and sessions have kept would fill the memory in an hour.
            $session = $this->app->make('session.store');
            $session->flush();
            $session->getHandler()->gc(-10);
            $this->app->forgetInstance('mail.manager');
            $this->app->forgetInstance('mailer');
            Facade::clearResolvedInstance('mail.manager');
            Cache::flush();
        } while (++$round < self::ROUNDS || time() < $until);
        self::assertSame([], $this->found);
        self::assertGreaterThan(50, \count($this->routes()));
    }

    public function testATruthIsNoNumberAndAnEmptyTextNoList(): void
    {
        $plan = "/plans/{$this->row->id}";
        foreach ([' ', '', true, ['a' => 1], [[]], ["{$this->row->id} "]] as $list) {
            $this->json('POST', "{$plan}/research/guesses", ['topics' => $list])->assertStatus(422);
            $this->json('PUT', "{$plan}/folds", ['folded' => $list])->assertStatus(422);
            $this->json('POST', "{$plan}/research", ['base' => 0, 'filings' => $list])->assertStatus(422);
        }
        $this->json('POST', "{$plan}/research/guesses", ['topics' => null])->assertOk();
        $copy = [
            'id' => self::newId(),
            'base' => true,
            'from' => $this->row->id,
            'topics' => [],
            'parent' => Plan::ROOT,
            'after' => '',
            'last' => true,
        ];
        $this->json('POST', "{$plan}/copies", $copy)->assertOk();
        $this->getJson("{$plan}/kept?since=1e3")->assertStatus(422);
        $this->getJson("{$plan}/kept?since=true")->assertStatus(422);
    }

    public function testWhatIsTooMuchIsRefusedBeforeItIsLookedAt(): void
    {
        $many = array_fill(0, 300_000, self::newId());
        foreach (
            [
                'PUT folds' => ['folded' => \array_slice($many, 0, 50_001)],
                'POST copies' => [
                    'id' => self::newId(),
                    'base' => 0,
                    'from' => $this->row->id,
                    'topics' => \array_slice($many, 0, 5_001),
                    'parent' => Plan::ROOT,
                ],
                'POST research' => ['base' => 0, 'filings' => array_fill(0, 2_001, ['topic' => 'x'])],
                'POST research/guesses' => ['topics' => \array_slice($many, 0, 2_001)],
            ] as $what => $body
        ) {
            [$method, $path] = explode(' ', $what);
            $this->json($method, "/plans/{$this->row->id}/{$path}", $body)->assertStatus(422);
            $this->call(
                $method,
                "/plans/{$this->row->id}/{$path}",
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                (string) json_encode($many),
            )->assertStatus(413);
        }
    }

    /** @return list<array{string, string}> */
    private function routes(): array
    {
        $routes = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            /** @var Route $route */
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $routes[] = [$method, $route->uri()];
            }
        }

        return $routes;
    }

    private function ask(string $method, string $uri, array $example, string $where): void
    {
        // Whoever was signed out or deleted on the way is there again.
        if (!$this->user->exists || $this->user->fresh() === null || $this->row->fresh() === null || $this->row->fresh()?->trashed()) {
            self::fail("{$where}: the account or plan of the test is gone before {$method} {$uri}.");
        }
        $this->random->getInt(0, 7) === 0 ? Auth::logout() : $this->actingAs($this->user);
        if (\in_array("{$method} {$uri}", ['DELETE account', 'DELETE plans/{plan}'], true)) {
            $example = ['password_to_delete' => 'wrong'];
            $uri = str_replace('{plan}', self::newId(), $uri);
        }
        $address = '/' . preg_replace_callback('/\{(\w+)\??\}/', fn(array $m): string => $this->parameter($m[1]), ltrim($uri, '/'));
        $mutated = $this->mutated($example);
        $query = $method === 'GET' ? $mutated : ($this->random->getInt(0, 3) === 0 ? $this->mutated(['since' => 1, 'page' => 2]) : []);
        $address .= $query === [] ? '' : '?' . (\is_array($query) ? http_build_query($query) : rawurlencode((string) $query));
        $address .= [0 => '%00', 1 => '?a=%ff%fe', 2 => '?a[b][c]=%c0%af'][$this->random->getInt(0, 25)] ?? '';
        $headers
            = ['HTTP_ACCEPT' => $this->pick(['application/json', 'text/html', '*/*', "a\0b", ''])]
            + ($this->random->getInt(0, 5) === 0
                ? [
                    $this->pick([
                        'HTTP_X_FORWARDED_HOST',
                        'HTTP_IF_NONE_MATCH',
                        'HTTP_RANGE',
                        'HTTP_X_HTTP_METHOD_OVERRIDE',
                        'HTTP_CONTENT_ENCODING',
                        'HTTP_AUTHORIZATION',
                        'HTTP_ACCEPT_LANGUAGE',
                    ]) => $this->text(),
                ]
                : []);
        $files = [];
        $content = null;
        if ($method !== 'GET') {
            $kind = $this->random->getInt(0, 5);
            if ($kind < 4) {
                $headers['CONTENT_TYPE'] = 'application/json';
                $content = $this->broken(json_encode($mutated, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE) ?: '');
                $mutated = [];
            } elseif ($kind === 4) {
                $files = array_fill_keys(
                    ['file', 'picture'],
                    UploadedFile::fake()->createWithContent(
                        $this->pick(['a.docx', 'a.txt', "a\xFF.png", 'a.opml', 'x.', '../a.md', str_repeat('a', 300) . '.txt']),
                        $this->random->getBytes($this->random->getInt(1, 400)),
                    ),
                );
            }
        }
        memory_reset_peak_usage();
        $had = memory_get_usage();
        $response = $this->call($method, $address, \is_array($mutated) ? $mutated : [], [], $files, $headers, $content);
        $why = $response->baseResponse->exception ?? null;
        $headers = $response->headers;
        $wrong = array_filter([
            'failed' => $response->getStatusCode() >= 500,
            'may be kept' => $headers->get('Cache-Control') !== 'no-store, private',
            'lacks headers'
                => $headers->get('X-Content-Type-Options') !== 'nosniff'
                || !str_contains((string) $headers->get('Content-Security-Policy'), "default-src 'self'"),
            'took too much memory' => memory_get_peak_usage() - $had > self::MEMORY,
        ]);
        if ($wrong !== []) {
            $at
                = $why instanceof \Throwable
                    ? $why::class . ' at ' . basename($why->getFile()) . ":{$why->getLine()}: " . substr($why->getMessage(), 0, 200)
                    : '';
            $this->found["{$method} {$uri} " . implode(', ', array_keys($wrong)) . " {$at}"] ??=
                "{$where}: " . substr($address, 0, 300) . ' ' . substr((string) $content, 0, 300);
        }
    }

    private function parameter(string $name): string
    {
        if ($this->random->getInt(0, 5) === 0) {
            return rawurlencode($this->text());
        }

        return match ($name) {
            'plan' => $this->row->id,
            'topic' => $this->pick($this->topics),
            'seq' => $this->pick(['1', '0', '99999999999999999999', '007']),
            'picture' => str_repeat('ab', 32),
            'attachment' => $this->attachment,
            'token' => $this->pick([self::newId(), str_repeat('a', 40)]),
            default => self::newId(),
        };
    }

    /** @var non-empty-list<string> */
    private array $topics = [Plan::ROOT];
    private string $attachment = '';

    /**
     * What each route is given when all is well; what comes is made of it.
     *
     * @return array<string, array<string, mixed>>
     */
    private function examples(): array
    {
        $this->topics = [$this->id('A'), $this->id('A1'), $this->id('B'), Plan::ROOT, Plan::TRAY];
        $this->attachment = self::newId();
        Attachments::keep($this->row->id, $this->attachment, $this->topics[0], 'a.txt', 'some words');
        [$a, $a1, $b] = $this->topics;
        $new = self::newId(...);
        $place = ['parent' => $a, 'after' => $a1];
        $note = [
            'type' => 'paragraph',
            'attrs' => ['id' => $new()],
            'content' => [['type' => 'text', 'text' => 'Words', 'marks' => [['type' => 'bold']]]],
        ];
        $operations = [
            ['type' => 'add', 'at' => $place, 'topics' => [['id' => $new(), 'title' => 'New', 'note' => [$note]]]],
            ['type' => 'retitle', 'topic' => $a, 'title' => 'A', 'was' => 'A'],
            ['type' => 'work', 'ids' => [$a], 'set' => ['who' => 'Jo', 'begins' => '2026-12-01', 'due' => '2026-12-04', 'again' => 'week']],
            ['type' => 'finish', 'ids' => [$a], 'on' => '2026-12-02'],
            ['type' => 'shift', 'ids' => [$a], 'days' => 7],
            ['type' => 'note', 'topic' => $a, 'put' => [$note], 'remove' => [], 'order' => [], 'was' => [], 'base' => []],
            ['type' => 'wrap', 'ids' => [$a1], 'new' => $new(), 'title' => 'W'],
            ['type' => 'sort', 'parent' => $a, 'by' => 'title'],
            ['type' => 'split', 'topic' => $a, 'new' => $new(), 'at' => 1],
            ['type' => 'join', 'upper' => $a, 'lower' => $b],
            ['type' => 'fold', 'ids' => [$a1], 'into' => null, 'as' => 'text', 'seed' => $new(), 'cite' => []],
            ['type' => 'dye', 'ids' => [$a], 'value' => '#203080'],
            ['type' => 'source', 'sources' => [['id' => $new(), 'title' => 'S', 'kind' => 'book', 'date' => '1994']]],
            ['type' => 'relate', 'relations' => [['id' => $new(), 'from' => $a, 'to' => $b, 'label' => 'x']]],
            ['type' => 'copy', 'new' => [$a => $new()], 'at' => $place],
            ['type' => 'compound', 'operations' => [['type' => 'flag', 'ids' => [$a], 'value' => 'key']]],
            ['type' => 'plan', 'set' => ['subtitle' => 's', 'target' => 100, 'due' => '2027-01-01']],
            ['type' => 'restore', 'heads' => [['id' => $a, 'parent' => Plan::ROOT, 'after' => null]], 'ids' => [$a]],
            ['type' => 'picture', 'ids' => [$a], 'value' => str_repeat('ab', 32) . ':10x10@40'],
        ];
        $map = [
            'map' => [
                'look' => ['arrangement' => 'round', 'style' => 'lines', 'widths' => []],
                'folded' => [$a],
                'start' => $a,
                'known' => [$a => 'x'],
                'room' => [800, 600],
            ],
            'keep' => true,
        ];
        $page = 'plans/{plan}';
        $handOver = [
            'format' => 'docx',
            'from' => $a,
            'heading_depth' => 3,
            'numbering' => 'decimal',
            'points' => 'list',
            'page' => 0,
            'draft_style' => 'report',
            'template' => $new(),
            'contents_depth' => 2,
            'paper' => 'a4',
        ];

        return [
            "POST {$page}/operations"
                => [
                    'base' => 0,
                    'operations' => array_map(static fn(array $one): array => ['id' => $new(), 'step' => $new()] + $one, $operations),
                ] + $map,
            "POST {$page}/undo" => ['base' => 0, 'step' => $new()],
            "POST {$page}/redo" => ['base' => 0],
            "POST {$page}/map" => $map,
            "PUT {$page}/folds" => ['folded' => [$a]],
            "PUT {$page}/look" => ['focus' => $a, 'dimmed' => true],
            "GET {$page}/landing" => $place + ['topic' => $b],
            "GET {$page}/find" => ['text' => 'A', 'whole' => 1, 'case' => 0, 'within' => $a],
            "POST {$page}/find" => ['text' => 'A', 'with' => 'B', 'base' => 0, 'chosen' => ["{$a}:0"]],
            "GET {$page}/changes" => ['since' => 0],
            "GET {$page}/pulse" => ['by' => '1', 'expires' => '9', 'signature' => 'x', 'since' => 0],
            "POST {$page}/copies" => [
                'id' => $new(),
                'base' => 0,
                'from' => $this->row->id,
                'topics' => [$a],
                'parent' => $b,
                'after' => null,
                'last' => true,
            ],
            "POST {$page}/research" => [
                'base' => 0,
                'filings' => [['topic' => $a1, 'as' => 'source', 'into' => $b, 'source' => ['title' => 'T', 'kind' => 'book']]],
            ],
            "POST {$page}/research/guesses" => ['topics' => [$a]],
            "POST {$page}/source-list" => ['base' => 0, 'text' => '@book{a, title={T}, year={1994}}'],
            "POST {$page}/source-list/typed" => ['line' => 'Ward 1994, The creek, 12'],
            "POST {$page}/source-list/date" => ['typed' => 'spring 1994'],
            "GET {$page}/source-list/elsewhere" => ['typed' => 'cre'],
            "GET {$page}/source-list/file" => ['format' => 'bibtex', 'cited' => 1],
            "GET {$page}/cited" => ['items' => '[{"source":"x","locator":"1"}]'],
            "GET {$page}/hand-over" => $handOver + ['seen' => 1],
            "GET {$page}/hand-over/preview" => $handOver,
            "PUT {$page}/hand-over" => $handOver,
            "POST {$page}/hand-over/task" => ['format' => 'txt'],
            "GET {$page}/hand-over/file" => ['format' => 'md'] + $handOver,
            "GET {$page}/hand-over/sheets" => $handOver + ['several' => 1],
            "POST {$page}/pattern" => ['name' => 'Mine', 'from' => $a, 'notes' => true, 'targets' => false],
            "POST {$page}/patterns" => ['id' => $new(), 'base' => 0, 'pattern' => 'essay', 'under' => $a],
            "POST {$page}/days/read" => ['file' => 'x'],
            "POST {$page}/way-back" => ['token' => $new()],
            "POST {$page}/way-back/accept" => ['token' => $new(), 'keys' => ['a', 'b']],
            "POST {$page}/history" => ['name' => 'First'],
            "GET {$page}/history" => ['before' => 5],
            "POST {$page}/attachments" => ['id' => $new(), 'holder' => $a, 'name' => 'n', 'text' => 'words'],
            "DELETE {$page}/attachments/{attachment}" => ['back' => 1],
            "PATCH {$page}" => ['title' => 'T', 'put_away' => true],
            'POST styles' => [
                'settings' => [
                    'name' => 'Mine',
                    'font' => 'Literata',
                    'size' => 11,
                    'margins' => [1, 2, 3, 4],
                    'headingSizes' => [20, 16],
                    'header' => ['', '{title}', ''],
                    'colour' => '#203080',
                ],
            ],
            'PUT templates/{template}' => ['styles' => ['Title' => 'x']],
            'POST plans' => ['title' => 'P', 'pattern' => 'essay'],
            'GET dye' => ['value' => '#ffffff'],
            'POST intake' => ['text' => "A\n\tB", 'title' => 'T', 'into' => $this->row->id, 'under' => $a, 'depth' => 3, 'markdown' => '1'],
            'POST intake/preview' => ['text' => "# A\n\nwords", 'token' => $new(), 'lists' => 1],
            'GET intake' => ['into' => $this->row->id, 'under' => $a, 'file' => 'x'],
            'POST sign-up' => ['name' => 'N', 'email' => 'n@example.org', 'password' => 'long enough', 'time_zone' => 'UTC'],
            'POST sign-in' => ['email' => 'ada@example.org', 'password' => 'wrong one', 'stay' => 1],
            'GET sign-in' => ['to' => "/plans/{$this->row->id}"],
            'POST forgotten' => ['email' => 'x@example.org'],
            'POST reset' => ['token' => 't', 'email' => 'x@example.org', 'password' => 'long enough'],
            'GET reset/{token}' => ['email' => 'a@b.example'],
            'PUT account' => ['name' => 'Ada', 'time_zone' => 'UTC'],
            'PUT account/password' => ['current_password' => 'wrong', 'password' => 'long enough'],
            'DELETE account/devices' => ['device' => 'x'],
        ];
    }

    /** One to three things in it made something else. */
    private function mutated(array $example): mixed
    {
        if ($this->random->getInt(0, 40) === 0) {
            return $this->value();
        }
        for ($i = $this->random->getInt(0, 3); $i > 0; --$i) {
            $example = $this->changed($example);
        }

        return $example;
    }

    private function changed(array $part): array
    {
        if ($part === []) {
            return [$this->text() => $this->value()];
        }
        $key = $this->pick(array_keys($part));
        if (\is_array($part[$key]) && $this->random->getInt(0, 4) > 0) {
            $part[$key] = $this->changed($part[$key]);

            return $part;
        }
        match ($this->random->getInt(0, 4)) {
            0 => ($part = array_diff_key($part, [$key => 1])),
            1 => ($part[$this->text()] = $part[$key]),
            default => ($part[$key] = $this->value()),
        };

        return $part;
    }

    private function value(): mixed
    {
        return match ($this->random->getInt(0, 12)) {
            0 => null,
            1 => true,
            2 => $this->pick([0, -1, PHP_INT_MAX, PHP_INT_MIN, 1.5, -0.0, 1e308]),
            3 => [],
            4 => [[$this->text() => $this->text()]],
            5 => $this->deep($this->random->getInt(5, 700)),
            6 => array_fill(0, $this->random->getInt(1, 3000), $this->pick(['', 1, []])),
            7 => str_repeat($this->pick(['a', 'é', '🏴', "\u{0301}"]), $this->random->getInt(100, 40_000)),
            8 => $this->pick($this->topics),
            9 => self::newId(),
            default => $this->text(),
        };
    }

    private function deep(int $levels): array
    {
        $deep = [];
        for (; $levels > 0; --$levels) {
            $deep = $this->random->getInt(0, 1) === 0 ? [$deep] : ['content' => [$deep], 'type' => 'blockquote'];
        }

        return $deep;
    }

    private function text(): string
    {
        return $this->pick(self::TEXTS);
    }

    /** JSON, now and then not quite. */
    private function broken(string $json): string
    {
        return match ($this->random->getInt(0, 20)) {
            0 => substr($json, 0, intdiv(\strlen($json), 2)),
            1 => str_replace('a', "\xFF", $json),
            2 => str_replace('a', '\\u0000', $json),
            3 => str_replace('"', '"\\ud800', $json),
            4 => "\u{FEFF}{$json}",
            default => $json,
        };
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $from
     *
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, \count($from) - 1)];
    }
}
