<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Pages\PublicRoute;
use App\Store\Attachments;
use App\Store\Devices;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

/** What stands between an account and whoever it does not belong to. */
final class DoorsTest extends TestCase
{
    public function testLinksAndRedirectsLeadToTheConfiguredAddressWhateverIsAskedFor(): void
    {
        config(['app.url' => 'https://write.example']);
        Notification::fake();
        Auth::logout();
        foreach (['evil.example', 'write.example.evil.example', 'write.example:8080', 'localhost'] as $host) {
            $this->post("https://{$host}/forgotten", ['email' => 'ada@example.org'])->assertStatus(421);
            $this->get("https://{$host}/plans")->assertStatus(421);
        }
        Notification::assertNothingSent();
    }

    public function testWhoAsksIsTakenFromAServerInFrontOnlyWhereThatIsNamed(): void
    {
        $asks = fn(): string => (string) $this->withHeaders(['X-Forwarded-For' => '198.51.100.7'])->get('/asks')->getContent();
        Route::get('/asks', static fn(\Illuminate\Http\Request $request): string => (string) $request->ip());
        self::assertSame('127.0.0.1', $asks());
        TrustProxies::at(['127.0.0.1']);
        try {
            self::assertSame('198.51.100.7', $asks());
        } finally {
            TrustProxies::at([]);
        }
    }

    public function testALetterHoldsTheConfiguredAddress(): void
    {
        Notification::fake();
        Auth::logout();
        $this->call(
            'POST',
            '/forgotten',
            ['email' => 'ada@example.org'],
            [],
            [],
            ['HTTP_X_FORWARDED_HOST' => 'evil.example', 'HTTP_X_FORWARDED_PROTO' => 'gopher'],
        );
        Notification::assertSentTo(
            $this->user,
            ResetPassword::class,
            fn(ResetPassword $letter): bool => str_starts_with(
                $letter->toMail($this->user)->actionUrl,
                rtrim((string) config('app.url'), '/') . '/reset/',
            ),
        );
    }

    public function testTheOtherNamesOfThisMachineLeadToItsOwn(): void
    {
        config(['app.url' => 'http://127.0.0.1:8080']);
        $this->get('http://localhost:8080/plans?x=1')->assertRedirect('http://127.0.0.1:8080/plans?x=1');
        $this->get('http://localhost:8080//evil.example/x')->assertRedirect('http://127.0.0.1:8080/evil.example/x');
        $this->post('http://localhost:8080/sign-in')->assertStatus(421);
    }

    // ---- Devices

    /** @return string the id of a session of this person's, as if they were signed in there */
    private function device(User $user, string $agent, int $ago = 0): string
    {
        $id = Str::random(40);
        DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $user->id,
            'ip_address' => '192.0.2.7',
            'user_agent' => $agent,
            'payload' => '',
            'last_activity' => time() - $ago,
        ]);

        return $id;
    }

    private function sessionsOf(User $user): int
    {
        return DB::table('sessions')->where('user_id', $user->id)->count();
    }

    public function testAChangedPasswordEndsEveryOtherSession(): void
    {
        $this->device($this->user, 'Firefox');
        $other = $this->account('bo');
        $this->device($other, 'Firefox');
        $this->put('/account/password', ['current_password' => 'a long secret', 'password' => 'another one'])->assertSessionHas('said');
        self::assertSame([0, 1], [$this->sessionsOf($this->user), $this->sessionsOf($other)]);
    }

    public function testAResetPasswordEndsEverySession(): void
    {
        Notification::fake();
        $this->device($this->user, 'Firefox');
        Auth::logout();
        $this->post('/forgotten', ['email' => 'ada@example.org']);
        $token = '';
        Notification::assertSentTo($this->user, ResetPassword::class, static function (ResetPassword $letter) use (&$token): bool {
            $token = $letter->token;

            return true;
        });
        $this->post('/reset', ['token' => $token, 'email' => 'ADA@example.org', 'password' => 'another one'])->assertRedirect('/sign-in');
        self::assertSame(0, $this->sessionsOf($this->user));
    }

    public function testDevicesAreListedAndSignedOut(): void
    {
        $phone = $this->device(
            $this->user,
            'Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.0 Mobile/15E148 '
                . 'Safari/604.1',
            3600,
        );
        $this->device($this->user, 'Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0', 7200);
        $strange = $this->device($this->account('bo'), 'curl/8');
        $page = $this->get('/account')
            ->assertOk()
            ->assertSee('Safari on iPhone')
            ->assertSee('Firefox on Linux')
            ->assertDontSee('A browser');
        self::assertStringNotContainsString($phone, (string) $page->getContent(), 'The id of a session is a key to the account.');
        $key = Devices::of($this->user, '')[0]['key'];
        $this->delete('/account/devices', ['device' => $key])->assertRedirect('/account');
        self::assertSame(['Firefox on Linux'], array_column(Devices::of($this->user, ''), 'name'));
        $foreign = Devices::of(User::query()->where('email', 'bo@example.org')->sole(), '')[0]['key'];
        $this->delete('/account/devices', ['device' => $foreign]);
        self::assertTrue(DB::table('sessions')->where('id', $strange)->exists());
        $this->delete('/account/devices');
        self::assertSame(0, $this->sessionsOf($this->user));
    }

    public function testASessionStaysOnlyWhereOneWantsItTo(): void
    {
        foreach ([['stay' => '1'], []] as $choice) {
            Auth::logout();
            $this->flushSession();
            $answer = $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret'] + $choice)->assertRedirect(
                '/plans',
            );
            $cookie = $answer->getCookie('embrel_session', false);
            self::assertEqualsWithDelta($choice === [] ? 0 : time() + 30 * 86_400, $cookie?->getExpiresTime(), 60);
            self::assertSame(
                [],
                array_filter($answer->headers->getCookies(), static fn($one): bool => str_starts_with($one->getName(), 'remember_')),
            );
            $this->travel(25)->hours();
            $this->get('/plans')->assertStatus($choice === [] ? 302 : 200);
            $this->travelBack();
        }
    }

    public function testAPageThatIsOpenWritesItsSessionNoOftenerThanOnceAMinute(): void
    {
        config(['session.driver' => 'database']);
        $cookie = $this->get('/plans')->assertOk()->getCookie('embrel_session', false);
        $this->withUnencryptedCookie('embrel_session', (string) $cookie?->getValue());
        $written = 0;
        DB::listen(static function ($query) use (&$written): void {
            $written += preg_match('/\A(insert into|update|replace into) `sessions`/', $query->sql);
        });
        $ask = fn() => $this->getJson("/plans/{$this->row->id}/pulse-address")->assertOk();
        $ask();
        $ask();
        self::assertSame(0, $written);
        self::assertStringEndsWith('/plans', (string) session()->previousUrl());
        $this->travel(2)->minutes();
        $ask();
        self::assertSame(1, $written);
        $ask();
        self::assertSame(1, $written);
        $this->travelBack();
    }

    // ---- How often

    public function testEveryRouteThatIsLimitedSaysSoWhenItIsAskedTooOften(): void
    {
        config(['embrel.sign_ins_a_minute' => 3]);
        $most = ['sign-in' => 3, 'uploads' => 30, 'pages' => 60]
            + ['links' => 20, 'watching' => 20, 'link-password' => 10, 'letters' => 60, 'comments' => 120]
            + ['second-step' => 3, 'invitations' => 60, 'small-pictures' => 600];
        $limited = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $by = array_values(
                array_filter($route->gatherMiddleware(), static fn($one): bool => \is_string($one) && str_starts_with($one, 'throttle:')),
            );
            if ($by === []) {
                continue;
            }
            $limited[] = $name = implode(' ', [$route->methods()[0], $route->uri()]);
            $address = '/' . strtr($route->uri(), ['{plan}' => $this->row->id, '{token}' => str_repeat('a', 40)]
                + ['{end}' => str_repeat('A', 26), '{picture}' => str_repeat('a', 64), '{user}' => '1']
                + ['{type}' => 'png', '{found}' => 'none']
                + array_fill_keys(['{comment}', '{vote}'], self::newId()));
            Cache::flush();
            \in_array('guest', $route->gatherMiddleware(), true) ? Auth::logout() : $this->actingAs($this->user);
            $answers = array_map(
                fn(): int => $this->json($route->methods()[0], $address, ['email' => 'ada@example.org'])->getStatusCode(),
                range(0, $most[substr($by[0], 9)]),
            );
            self::assertSame(429, array_pop($answers), $name);
            self::assertNotContains(429, $answers, $name);
        }
        self::assertGreaterThan(15, \count($limited));
    }

    // ---- Passwords and addresses

    public function testAnAddressIsComparedToTheLetterAndCountedInOneSpelling(): void
    {
        Auth::logout();
        foreach (['ádá@example.org', 'ａｄａ@example.org', 'ada@éxample.org'] as $alike) {
            $this->post('/sign-in', ['email' => $alike, 'password' => 'a long secret'])->assertSessionHasErrors('email');
        }
        $this->post('/sign-in', ['email' => ' ADA@Example.ORG ', 'password' => 'a long secret'])->assertRedirect('/plans');
    }

    public function testGuessingIsLimitedByAccountAndByMachine(): void
    {
        config(['embrel.sign_ins_a_minute' => 3]);
        Auth::logout();
        $try = fn(string $email, string $from): int => $this->call(
            'POST',
            '/sign-in',
            ['email' => $email, 'password' => 'a guess'],
            [],
            [],
            ['REMOTE_ADDR' => $from],
        )->getStatusCode();
        $tries = array_map(static fn(string $email): int => $try($email, '192.0.2.' . random_int(1, 250)), [
            'ada@example.org',
            'ADA@example.org',
            ' ada@Example.org',
            'Ada@example.ORG',
        ]);
        self::assertSame([302, 302, 302, 429], $tries);
        $others = array_map(static fn(int $i): int => $try("someone{$i}@example.org", '198.51.100.9'), range(1, 19));
        self::assertSame(429, $others[18]);
        self::assertNotContains(429, \array_slice($others, 0, 18));
    }

    #[DataProvider('placesThatAskForAPassword')]
    public function testEveryPlaceThatAsksForAPasswordIsLimited(string $method, string $address): void
    {
        config(['embrel.sign_ins_a_minute' => 2]);
        $answers = array_map(
            fn(): int => $this->call($method, $address, [
                'current_password' => 'a guess',
                'password' => 'another one',
                'password_to_delete' => 'a guess',
            ])->getStatusCode(),
            range(1, 3),
        );
        self::assertSame([302, 302, 429], $answers);
    }

    /** @return iterable<string, array{string, string}> */
    public static function placesThatAskForAPassword(): iterable
    {
        yield 'changing it' => ['PUT', '/account/password'];
        yield 'deleting the account' => ['DELETE', '/account'];
    }

    public function testPasswordsAreToldApartToTheirEnd(): void
    {
        $long = str_repeat('a', 72);
        $this->user->update(['password' => "{$long}b"]);
        self::assertFalse(Auth::validate(['email' => 'ada@example.org', 'password' => "{$long}c"]));
        self::assertTrue(Auth::validate(['email' => 'ada@example.org', 'password' => "{$long}b"]));
    }

    public function testAPasswordInTheOlderFormIsAcceptedAndKeptAnew(): void
    {
        DB::table('users')
            ->where('id', $this->user->id)
            ->update(['password' => password_hash('an old secret', PASSWORD_BCRYPT, ['cost' => 4])]);
        Auth::logout();
        $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'an old secret'])->assertRedirect('/plans');
        self::assertSame('argon2id', Hash::info((string) DB::table('users')->where('id', $this->user->id)->value('password'))['algoName']);
    }

    // ---- What is kept, and what is given out

    public function testTheSealOfThePulseEnds(): void
    {
        $address = (string) $this->getJson("/plans/{$this->row->id}/pulse-address")
            ->assertOk()
            ->json('pulse');
        $this->get("{$address}&since=0")->assertOk();
        parse_str((string) parse_url($address, PHP_URL_QUERY), $parts);
        $this->get(str_replace("expires={$parts['expires']}", 'expires=' . ((int) $parts['expires'] + 9999), $address))->assertNotFound();
        $this->travel(13)->hours();
        $this->get("{$address}&since=0")->assertNotFound();
    }

    public function testAnAttachmentIsSavedUnderItsName(): void
    {
        $id = self::newId();
        Attachments::keep($this->row->id, $id, $this->id('A'), 'Zählung 1923.txt', 'some words');
        $answer = $this->get("/plans/{$this->row->id}/attachments/{$id}")->assertOk();
        self::assertStringContainsString("filename*=utf-8''Z%C3%A4hlung%201923.txt", (string) $answer->headers->get('Content-Disposition'));
    }

    public function testNoFolderOfTheMachineIsServed(): void
    {
        Attachments::keep($this->row->id, $id = self::newId(), $this->id('A'), 'a.txt', 'some words');
        foreach (["storage/attachments/{$this->row->id}/{$id}", 'storage/app/private/x', 'storage/x'] as $address) {
            self::assertContains($this->get($address)->getStatusCode(), [404, 405], $address);
        }
        self::assertSame(
            [],
            array_filter(
                Route::getRoutes()->getRoutes(),
                static fn(\Illuminate\Routing\Route $route): bool => str_starts_with($route->uri(), 'storage'),
            ),
        );
    }

    public function testNothingOfADeletedAccountIsLeft(): void
    {
        $file = fn(): UploadedFile => UploadedFile::fake()->createWithContent('a.txt', "One\nTwo");
        $token = (string) $this->post('/intake/files', ['file' => $file()], ['Accept' => 'application/json'])
            ->assertOk()
            ->json('token');
        $task = (string) $this->postJson("/plans/{$this->row->id}/hand-over/task", ['format' => 'txt'])
            ->assertOk()
            ->json('id');
        $paths = [storage_path("app/private/waiting/{$this->user->id}/{$token}"), storage_path("app/private/tasks/{$task}")];
        self::assertSame([true, true], array_map(is_file(...), $paths));
        $this->delete('/account', ['password_to_delete' => 'a long secret'])->assertRedirect('/');
        self::assertSame([false, false], array_map(file_exists(...), $paths));
        self::assertSame(0, DB::table('tasks')->where('user_id', $this->user->id)->count());
    }

    public function testWhatNothingBelongsToIsFoundByItsAge(): void
    {
        $paths = array_map(storage_path(...), [
            'app/private/tasks/' . self::newId(),
            'app/private/waiting/999999/' . self::newId(),
            'app/private/work-leftover/part',
            'app/private/attachments/' . self::newId() . '/file',
            'app/private/pictures/' . self::newId() . '/file',
            'app/private/templates/' . self::newId(),
        ]);
        foreach ($paths as $path) {
            @mkdir(\dirname($path), 0o700, true);
            file_put_contents($path, 'x');
        }
        Artisan::call('embrel:purge');
        self::assertSame($paths, array_values(array_filter($paths, is_file(...))), 'It may be in use.');
        foreach ($paths as $path) {
            touch($path, time() - 100_000);
            touch(\dirname($path), time() - 100_000);
        }
        Artisan::call('embrel:purge');
        self::assertSame([], array_values(array_filter($paths, is_file(...))));
    }

    public function testTheLogHoldsNothingThatAnybodyWrote(): void
    {
        $path = storage_path('logs/embrel-' . now()->format('Y-m-d') . '.log');
        $before = is_file($path) ? (int) filesize($path) : 0;
        try {
            DB::table('users')->insert(['name' => 'Secret words', 'email' => 'ada@example.org', 'password' => 'hash-of-a-password']);
            self::fail('The same address twice.');
        } catch (\Illuminate\Database\QueryException $why) {
            report(new \RuntimeException('While keeping something', 0, $why));
        }
        $said = (string) file_get_contents($path, false, null, $before);
        self::assertStringContainsString('While keeping something', $said);
        self::assertStringContainsString('insert into `users`', $said);
        self::assertStringNotContainsString('Secret words', $said);
        self::assertStringNotContainsString('ada@example.org', $said);
        self::assertStringNotContainsString('hash-of-a-password', $said);
        self::assertSame('0600', substr(\sprintf('%o', fileperms($path)), -4));
    }

    public function testAddressesThatOnlyLookPublicAreNot(): void
    {
        foreach (
            [
                '2001:0:53aa:64c::1',
                '2002:7f00:1::1',
                'fe80::5efe:10.0.0.1',
                '2a00:1450:4001::5efe:10.0.0.1',
                '2a00:1450:4001::200:5efe:127.0.0.1',
                '192.0.2.1',
                '198.51.100.7',
                '203.0.113.9',
                '2001:db8::1',
                '3fff::1',
                '2001:2::1',
                '2001:10::1',
                '192.88.99.1',
                '64:ff9b:1::1',
            ] as $address
        ) {
            self::assertFalse(PublicRoute::isPublic($address), $address);
        }
        foreach (['8.8.8.8', '2a00:1450:4001:830::200e', '2606:4700::1111'] as $address) {
            self::assertTrue(PublicRoute::isPublic($address), $address);
        }
    }
}
