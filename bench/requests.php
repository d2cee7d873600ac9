<?php

declare(strict_types=1);

// The dearest requests of the largest plan (50,000 topics): each in a process of its own, its time
// against that of reading the plan alone, and the most memory that it had.

use App\Models\Plan as PlanRow;
use App\Models\User;
use App\Store\PlanStore;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

const MOST_MEMORY = 256;

if (($argv[1] ?? '') === 'one') {
    [, , $user, $plan, $method, $uri] = $argv;
    $body = (string) stream_get_contents(STDIN);
    require __DIR__ . '/../vendor/autoload.php';
    $app = require __DIR__ . '/../bootstrap/app.php';
    $app->instance('request', Request::create('http://localhost'));
    $kernel = $app->make(Kernel::class);
    $kernel->bootstrap();
    ini_set('memory_limit', '1G');
    config(['session.driver' => 'array']);
    Auth::setUser(User::query()->findOrFail($user));
    $app->bind(
        ValidateCsrfToken::class,
        static fn($app) => new class ($app, $app['encrypter']) extends ValidateCsrfToken {
            protected function inExceptArray($request): bool
            {
                return true;
            }
        },
    );
    $start = hrtime(true);
    if ($uri === 'floor') {
        app(PlanStore::class)->load(PlanRow::query()->findOrFail($plan));
        $status = 200;
    } else {
        $request = Request::create(
            config('app.url') . $uri,
            $method,
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'],
            $body === '' ? null : $body,
        );
        ob_start(static fn(): string => '', 4096);
        $response = $kernel->handle($request);
        $response->sendContent();
        ob_end_clean();
        $status = $response->getStatusCode();
    }
    echo json_encode([(hrtime(true) - $start) / 1e9, memory_get_peak_usage(true) / 1048576, $status]);
    exit();
}

require __DIR__ . '/plans.php';
config(['session.driver' => 'array']);
[$plan, $topic] = planOf(50_000, $user, $ids);
$tree = app(PlanStore::class)->load(PlanRow::query()->findOrFail($plan));
$head = $tree->parts(Embrel\Plan\Plan::ROOT)[0];
$batch = static fn(array ...$operations): string => (string) json_encode([
    'base' => 1,
    'operations' => array_map(static fn(array $one): array => ['id' => $ids->next(), 'step' => $ids->next()] + $one, $operations),
]);
$requests = [
    'the page' => ['GET', "/plans/{$plan}"],
    'one changed title' => ['POST', "/plans/{$plan}/operations", $batch(['type' => 'retitle', 'topic' => $topic, 'title' => 'Changed'])],
    'the map' => ['POST', "/plans/{$plan}/map", (string) json_encode(['map' => ['look' => [], 'folded' => []]])],
    'the map, folded' => ['POST', "/plans/{$plan}/map", (string) json_encode(['map' => ['look' => [], 'room' => [1200, 700]]])],
    'find' => ['GET', "/plans/{$plan}/find?text=" . str_repeat('nosuchwords', 80)],
    'find what is everywhere' => ['GET', "/plans/{$plan}/find?text=e"],
    'research' => ['GET', "/plans/{$plan}/research"],
    'all notes' => ['GET', "/plans/{$plan}/all-notes"],
    'history' => ['GET', "/plans/{$plan}/history"],
    'a version' => ['GET', "/plans/{$plan}/history/1"],
    'hand over' => ['GET', "/plans/{$plan}/hand-over"],
    'changes' => ['GET', "/plans/{$plan}/changes?since=0"],
    'a copy of all' => [
        'POST',
        "/plans/{$plan}/copies",
        (string) json_encode([
            'id' => $ids->next(),
            'base' => 1,
            'from' => planOf(5_000, $user, $ids)[0],
            'topics' => [],
            'parent' => Embrel\Plan\Plan::ROOT,
            'last' => true,
        ]),
    ],
    'prompts, near, first' => ['POST', "/plans/{$plan}/near", (string) json_encode(['topic' => $topic])],
    'prompts, near' => ['POST', "/plans/{$plan}/near", (string) json_encode(['topic' => $topic])],
    'prompts, twice' => ['GET', "/plans/{$plan}/alike"],
    'prompts, terms' => ['GET', "/plans/{$plan}/terms"],
    'prompts, shorter' => ['GET', "/plans/{$plan}/shorter"],
    'prompts, first draft' => ['GET', "/plans/{$plan}/first-draft"],
    'folds' => ['PUT', "/plans/{$plan}/folds", (string) json_encode(['folded' => $tree->standing()])],
];
foreach (['docx', 'odt', 'pdf', 'html', 'pages', 'epub', 'tex', 'md', 'txt', 'opml', 'svg'] as $format) {
    $requests["preview, {$format}"] = ['GET', "/plans/{$plan}/hand-over/preview?format={$format}"];
    $requests["file, {$format}"] = ['GET', "/plans/{$plan}/hand-over/file?format={$format}"];
}
$only = $argv[1] ?? '';
$one = static function (string $method, string $uri, string $body = '') use ($user, $plan): array {
    $command = [
        PHP_BINARY,
        '-d',
        'opcache.enable_cli=1',
        '-d',
        'opcache.jit=function',
        '-d',
        'opcache.jit_buffer_size=64M',
        __FILE__,
        'one',
        (string) $user->id,
        $plan,
        $method,
        $uri,
    ];
    $process = proc_open($command, [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
    fwrite($pipes[0], $body);
    fclose($pipes[0]);
    $told = json_decode((string) stream_get_contents($pipes[1]), true);
    proc_close($process);

    return is_array($told) ? $told : [NAN, NAN, 0];
};
$only = $argv[1] ?? '';
$floor = $one('GET', 'floor')[0];
printf("The dearest requests, on a plan of 50,000 topics; reading it is 1\n");
foreach ($requests as $name => $request) {
    if ($only === '' || str_contains($name, $only)) {
        [$seconds, $memory, $status] = $one(...$request);
        printf(
            "  %-26s %6.1f   %5.0f MB%s   answered %d\n",
            $name,
            $seconds / $floor,
            $memory,
            $memory > MOST_MEMORY ? ' (bound ' . MOST_MEMORY . ')' : '',
            $status,
        );
    }
}
