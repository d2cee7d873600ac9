<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Mail\AccountThere;
use App\Mail\OpenAccount;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;

final class AccountTest extends TestCase
{
    public function testSignUpSignOutSignIn(): void
    {
        Auth::logout();
        $this->post('/sign-up', ['name' => 'Eve', 'email' => 'eve@example.org', 'password' => 'short'])->assertSessionHasErrors('password');
        $link = $this->letter('Eve', 'eve@example.org', 'long enough');
        $this->get($link)->assertOk()->assertSee('Welcome, Eve');
        self::assertSame(0, User::query()->where('email', 'eve@example.org')->count(), 'Looking at the link opened the account.');
        $this->post($link)->assertRedirect('/plans');
        $this->assertAuthenticated();
        self::assertSame('Europe/Berlin', User::query()->where('email', 'eve@example.org')->sole()->time_zone);
        $this->post('/sign-out')->assertRedirect('/');
        $this->assertGuest();
        $this->post('/sign-in', ['email' => 'eve@example.org', 'password' => 'wrong'])->assertSessionHasErrors('email');
        $this->post('/sign-in', ['email' => 'eve@example.org', 'password' => 'long enough'])->assertRedirect('/plans');
        $this->assertAuthenticated();
    }

    /** Signs up and gives the link of the letter. */
    private function letter(string $name, string $email, string $password): string
    {
        Mail::fake();
        $this->post('/sign-up', ['name' => $name, 'email' => $email, 'password' => $password, 'time_zone' => 'Europe/Berlin'])
            ->assertOk()
            ->assertSee('A letter is on its way');
        $link = '';
        Mail::assertSent(OpenAccount::class, static function (OpenAccount $letter) use (&$link): bool {
            $link = (string) parse_url($letter->link, PHP_URL_PATH);

            return true;
        });

        return $link;
    }

    public function testWhetherAnAddressHasAnAccountIsToldInALetterAlone(): void
    {
        Auth::logout();
        $this->letter('Eve', 'eve@example.org', 'long enough');
        Mail::fake();
        $page = static fn(TestResponse $answer): string => str_replace(
            ['ada@example.org', 'eve@example.org'],
            '',
            (string) preg_replace('/name="_token" value="[^"]*"/', '', (string) $answer->getContent()),
        );
        $new = $page($this->post('/sign-up', ['name' => 'Eve', 'email' => 'eve@example.org', 'password' => 'long enough'])->assertOk());
        $known = $page($this->post('/sign-up', ['name' => 'Eve', 'email' => 'Ada@example.org', 'password' => 'long enough'])->assertOk());
        self::assertSame($new, $known);
        Mail::assertSent(AccountThere::class, static fn(AccountThere $letter): bool => $letter->hasTo('ada@example.org'));
        self::assertTrue(Auth::validate(['email' => 'ada@example.org', 'password' => 'a long secret']), 'The account is as it was.');
    }

    public function testALetterOpensOneAccountOnceAndForADay(): void
    {
        Auth::logout();
        $first = $this->letter('Eve', 'eve@example.org', 'long enough');
        $second = $this->letter('Eve', 'eve@example.org', 'long enough too');
        $this->post($second)->assertRedirect('/plans');
        Auth::logout();
        $this->post($first)->assertRedirect($first);
        $this->get($first)->assertSee('This link is too old');
        self::assertTrue(Auth::validate(['email' => 'eve@example.org', 'password' => 'long enough too']));
        $late = $this->letter('Mo', 'mo@example.org', 'long enough');
        $this->travel(25)->hours();
        $this->get($late)->assertSee('This link is too old');
        $this->post($late)->assertRedirect($late);
        Artisan::call('embrel:purge');
        self::assertSame(0, DB::table('sign_ups')->count());
    }

    public function testAForgottenPasswordIsReplacedByALinkInALetter(): void
    {
        Notification::fake();
        Auth::logout();
        $this->post('/forgotten', ['email' => 'nobody@example.org'])->assertSessionHas('said');
        $this->post('/forgotten', ['email' => 'ada@example.org'])->assertSessionHas('said');
        $token = '';
        Notification::assertSentTo($this->user, ResetPassword::class, static function (ResetPassword $letter) use (&$token): bool {
            $token = $letter->token;

            return true;
        });
        $this->get("/reset/{$token}?email=ada@example.org")
            ->assertOk()
            ->assertSee('ada@example.org');
        $this->post('/reset', ['token' => 'false', 'email' => 'ada@example.org', 'password' => 'another one'])->assertSessionHasErrors(
            'email',
        );
        $this->post('/reset', ['token' => $token, 'email' => 'ada@example.org', 'password' => 'another one'])->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'another one']);
        $this->assertAuthenticated();
    }

    public function testEverythingCanBeDownloaded(): void
    {
        $path = $this->get('/account/download')->assertOk()->getFile()->getPathname();
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        $names = array_map(static fn(int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
        $whole = ['whole/001.jsonl', 'whole/own.jsonl'];
        self::assertSame(['About these files.txt', '01 Test plan.opml', '01 Test plan.docx', ...$whole], $names);
        self::assertStringContainsString('text="A1"', (string) $zip->getFromName('01 Test plan.opml'));
        unlink($path);
    }

    public function testDeletingTheAccountNeedsThePasswordAndTakesAllPlans(): void
    {
        $this->start(implode("\n", array_map(static fn(int $i): string => str_repeat(' ', $i) . "L{$i}", range(0, 40))));
        $this->delete('/account', ['password_to_delete' => 'wrong'])->assertSessionHasErrors('password_to_delete');
        self::assertNotNull($this->user->fresh());
        $this->delete('/account', ['password_to_delete' => 'a long secret'])->assertRedirect('/');
        self::assertNull(User::query()->find($this->user->id));
        self::assertSame(0, Plan::withTrashed()->where('owner_id', $this->user->id)->count());
    }

    public function testNameZoneAndPasswordCanBeChanged(): void
    {
        $this->put('/account', ['name' => 'Ada M', 'time_zone' => 'Atlantis/City'])->assertSessionHasErrors('time_zone');
        $this->put('/account', ['name' => 'Ada M', 'time_zone' => 'Asia/Tokyo'])->assertSessionHas('said');
        $this->put('/account/password', ['current_password' => 'wrong', 'password' => 'another one'])->assertSessionHasErrors(
            'current_password',
        );
        $this->put('/account/password', ['current_password' => 'a long secret', 'password' => 'another one'])->assertSessionHas('said');
        self::assertTrue(Auth::validate(['email' => 'ada@example.org', 'password' => 'another one']));
        self::assertSame('Asia/Tokyo', $this->user->fresh()?->time_zone);
    }

    public function testSigningInLeadsBackToTheViewThatOneWasIn(): void
    {
        $this->withoutMiddleware(ThrottleRequests::class);
        foreach (['', '/gather', '/map', '/draft', '/sources', '/sorting-out', '/history', '/hand-over'] as $view) {
            $to = "/plans/{$this->row->id}{$view}";
            Auth::logout();
            $this->get($to)->assertRedirect('/sign-in');
            $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret'])->assertRedirect($to);
            Auth::logout();
            $this->get('/sign-in?' . http_build_query(['to' => $to]))->assertOk();
            $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret'])->assertRedirect($to);
        }
        foreach (['//other.example', 'https://other.example/plans', "/plans/{$this->row->id}/../../x", '/plans'] as $elsewhere) {
            Auth::logout();
            $this->get('/sign-in?' . http_build_query(['to' => $elsewhere]))->assertOk();
            $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret'])->assertRedirect('/plans');
        }
    }
}
