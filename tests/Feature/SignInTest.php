<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\SignIn\SecondStep;
use App\Store\Accounts;
use Embrel\Codes\Base32;
use Embrel\Codes\Totp;
use GuzzleHttp\Client;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** The ways in beside the password: a second step, and an organisation that vouches for people; and how they are closed. */
final class SignInTest extends TestCase
{
    private const SECOND = 'second step secret';

    private function codeOf(string $secret, int $later = 0): string
    {
        return (new Totp((string) Base32::decode($secret)))->code(Totp::step(now()->getTimestamp()) + $later);
    }

    /** @return array{string, list<string>} the secret, and the codes on paper */
    private function turnOn(): array
    {
        $this->get('/account/second-step')->assertOk()->assertSee('Sign in in two steps');
        $secret = (string) session(self::SECOND);
        $this->post('/account/second-step', ['code' => $this->codeOf($secret)])->assertRedirect('/account/second-step');
        preg_match_all('~<code>([a-z2-7]{5}-[a-z2-7]{5})</code>~', (string) $this->get('/account/second-step')->getContent(), $found);

        return [$secret, $found[1]];
    }

    private function signIn(): TestResponse
    {
        Auth::logout();

        return $this->post('/sign-in', ['email' => 'ada@example.org', 'password' => 'a long secret']);
    }

    public function testTheSecondStepIsAskedForAndEachCodeIsGoodOnce(): void
    {
        [$secret, $paper] = $this->turnOn();
        self::assertCount(10, $paper);
        $this->get('/account')->assertSee('10 codes on paper are left')->assertDontSee($paper[0]);
        $this->signIn()->assertRedirect('/sign-in/code');
        $this->assertGuest();
        $this->get('/plans')->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertOk();
        foreach (['', '000000', $this->codeOf($secret), str_repeat('9', 500)] as $wrong) {
            // The code by which it was turned on was used.
            $this->post('/sign-in/code', ['code' => $wrong])->assertSessionHasErrors('code');
        }
        $this->travel(31)->seconds();
        $code = $this->codeOf($secret);
        $this->post('/sign-in/code', ['code' => $code])->assertRedirect('/plans');
        $this->assertAuthenticatedAs($this->user);
        $this->signIn();
        $this->post('/sign-in/code', ['code' => $code])->assertSessionHasErrors('code');
        $this->post('/sign-in/code', ['code' => strtoupper(str_replace('-', ' ', $paper[3]))])->assertRedirect('/plans');
        self::assertSame(9, SecondStep::codesLeft($this->user->refresh()));
        $this->signIn();
        $this->post('/sign-in/code', ['code' => $paper[3]])->assertSessionHasErrors('code');
    }

    public function testTheSecondStepWaitsTenMinutesAndForNobodyElse(): void
    {
        [$secret] = $this->turnOn();
        $this->signIn()->assertRedirect('/sign-in/code');
        $this->travel(11)->minutes();
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->post('/sign-in/code', ['code' => $this->codeOf($secret)])->assertRedirect('/sign-in');
        $this->assertGuest();
        $this->flushSession();
        $this->post('/sign-in/code', ['code' => $this->codeOf($secret)])->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function testItIsTurnedOffAndItsCodesAreMadeAnewWithACodeOnly(): void
    {
        [$secret, $paper] = $this->turnOn();
        $this->delete('/account/second-step', ['second_code' => 'no'])->assertSessionHasErrors('second_code');
        $this->travel(31)->seconds();
        $this->post('/account/second-step/codes', ['second_code' => $this->codeOf($secret)])->assertRedirect('/account/second-step');
        $this->delete('/account/second-step', ['second_code' => $paper[0]])->assertSessionHasErrors('second_code');
        $this->travel(31)->seconds();
        $this->delete('/account/second-step', ['second_code' => $this->codeOf($secret)])->assertRedirect('/account');
        self::assertFalse(SecondStep::isOn($this->user->refresh()));
        $this->signIn()->assertRedirect('/plans');
    }

    public function testWhatIsKeptOfItOpensNothing(): void
    {
        [$secret, $paper] = $this->turnOn();
        $row = json_encode(DB::table('users')->where('id', $this->user->id)->first(), JSON_THROW_ON_ERROR);
        foreach ([$secret, str_replace('-', '', $paper[0]), $paper[0]] as $told) {
            self::assertStringNotContainsString($told, $row);
        }
    }

    public function testAClosedAccountLetsNobodyInAndWhoeverIsInOut(): void
    {
        $this->get('/plans')->assertOk();
        Accounts::close($this->user);
        $this->actingAs($this->user->refresh())->get('/plans')->assertRedirect('/sign-in');
        $this->actingAs($this->user)->getJson("/plans/{$this->row->id}/changes?since=0")->assertUnauthorized();
        $this->signIn()->assertSessionHasErrors('email');
        $this->assertGuest();
        Accounts::open($this->user);
        $this->signIn()->assertRedirect('/plans');
    }

    public function testSignUpCanBeClosed(): void
    {
        Auth::logout();
        config(['embrel.sign_up' => 'invited']);
        $this->get('/')->assertDontSee('/sign-up');
        $this->get('/sign-up')->assertOk()->assertSee('Accounts are not open to everybody here')->assertSee('gets a letter');
        $this->post('/sign-up', ['name' => 'A', 'email' => 'new@example.org', 'password' => 'a long secret'])->assertNotFound();
        config(['embrel.sign_up' => 'closed']);
        $this->get('/sign-up')->assertSee('Ask whoever looks after Embrel');
    }

    // ---- By an organisation

    private function organisation(): string
    {
        $issuer = 'http://127.0.0.1:' . config('embrel.stand_in_port') . '/organisation';
        config(['embrel.organisation' => [
            'issuer' => $issuer, 'client' => 'embrel', 'secret' => 'between-the-two-of-us', 'name' => 'the school',
        ]]);
        Auth::logout();

        return $issuer;
    }

    /** @param array<string, string> $as who somebody says they are there */
    private function comeBy(array $as): TestResponse
    {
        $away = (string) $this->get('/sign-in/organisation')->assertRedirect()->headers->get('Location');
        $back = (string) (new Client(['allow_redirects' => false]))->post($away, ['form_params' => $as])->getHeaderLine('Location');

        return $this->get((string) preg_replace('~\Ahttps?://[^/]+~', '', $back));
    }

    public function testWhoIsVouchedForComesInWithAnAccountOfTheirOwn(): void
    {
        $this->organisation();
        config(['embrel.sign_up' => 'closed']);
        $this->get('/sign-in')->assertSee('Sign in through the school');
        $sam = ['sub' => 'S-17', 'name' => 'Sam Reed', 'email' => 'Sam@School.example'];
        $this->comeBy($sam)->assertRedirect('/plans');
        $user = User::query()->where('email', 'sam@school.example')->sole();
        $this->assertAuthenticatedAs($user);
        self::assertSame(['Sam Reed', false], [$user->name, $user->has_password]);
        $this->get('/account')->assertOk()->assertDontSee('Password now')->assertSee('You sign in through the school');
        Auth::logout();
        // The address may change there: it is the number by which they are known.
        $this->comeBy(['email' => 'reed@school.example'] + $sam)->assertRedirect('/plans');
        $this->assertAuthenticatedAs($user);
        $this->delete('/account', ['address_to_delete' => 'other@school.example'])->assertSessionHasErrors('address_to_delete');
        $this->delete('/account', ['address_to_delete' => 'sam@school.example'])->assertRedirect('/');
        self::assertSame(0, DB::table('identities')->count());
    }

    public function testAnAccountOfTheSameConfirmedAddressIsTheirs(): void
    {
        $this->organisation();
        $this->comeBy(['sub' => 'S-1', 'name' => 'Ada', 'email' => 'ada@example.org'])->assertRedirect('/plans');
        $this->assertAuthenticatedAs($this->user);
        self::assertTrue($this->user->refresh()->has_password);
        $this->signIn()->assertRedirect('/plans');
    }

    /** @return iterable<string, array{string}> */
    public static function lies(): iterable
    {
        foreach (
            [
                'refused',
                'issuer',
                'audience',
                'audiences',
                'nonce',
                'late',
                'unknown key',
                'unsigned',
                'shared secret',
                'changed',
                'nothing',
                'unconfirmed',
            ] as $odd
        ) {
            yield $odd => [$odd];
        }
    }

    #[DataProvider('lies')]
    public function testWhatCannotBeBelievedLetsNobodyIn(string $odd): void
    {
        $this->organisation();
        $this->comeBy(['sub' => 'S-1', 'name' => 'Ada', 'email' => 'ada@example.org', 'odd' => $odd])
            ->assertRedirect('/sign-in')
            ->assertSessionHasErrors('organisation');
        $this->assertGuest();
        self::assertSame(0, DB::table('identities')->count());
    }

    public function testComingBackTwiceOrWithoutHavingGoneLeadsNowhere(): void
    {
        $this->organisation();
        $this->get('/sign-in/organisation/back?code=x&state=y')->assertSessionHasErrors('organisation');
        $away = (string) $this->get('/sign-in/organisation')->headers->get('Location');
        $back = (new Client(['allow_redirects' => false]))
            ->post($away, ['form_params' => ['sub' => 'S-1', 'name' => 'Ada', 'email' => 'ada@example.org']])
            ->getHeaderLine('Location');
        $path = (string) preg_replace('~\Ahttps?://[^/]+~', '', $back);
        $this->get($path)->assertRedirect('/plans');
        Auth::logout();
        $this->get($path)->assertSessionHasErrors('organisation');
        $this->assertGuest();
        // A code of another attempt: its proof is not that of this one.
        $this->get('/sign-in/organisation');
        parse_str((string) parse_url($path, PHP_URL_QUERY), $query);
        $state = session('organisation')['state'];
        $this->get('/sign-in/organisation/back?' . http_build_query(['state' => $state] + $query))->assertSessionHasErrors('organisation');
        $this->assertGuest();
    }

    public function testWhoIsVouchedForIsAskedForNoSecondStepAndAClosedAccountStaysClosed(): void
    {
        $this->turnOn();
        $this->organisation();
        $ada = ['sub' => 'S-1', 'name' => 'Ada', 'email' => 'ada@example.org'];
        $this->comeBy($ada)->assertRedirect('/plans');
        Auth::logout();
        Accounts::close($this->user->refresh());
        $this->comeBy($ada)->assertRedirect()->assertSessionHasErrors('email');
        $this->assertGuest();
    }

    public function testWhoCameByTheOrganisationGetsAPasswordOfTheirOwnByLetter(): void
    {
        $this->organisation();
        $this->comeBy(['sub' => 'S-9', 'name' => 'Sam', 'email' => 'sam@school.example'])->assertRedirect('/plans');
        Auth::logout();
        $user = User::query()->where('email', 'sam@school.example')->sole();
        $token = \Illuminate\Support\Facades\Password::createToken($user);
        $this->post('/reset', ['token' => $token, 'email' => $user->email, 'password' => 'a new long secret'])->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'a new long secret'])->assertRedirect('/plans');
        $this->get('/account')->assertSee('Password now');
    }

    public function testWhereAccountsAreClosedAnInvitationMakesNone(): void
    {
        $link = app(\App\Store\Invitations::class)->invite($this->row, $this->user, 'new@example.org', \App\Access\Role::Reads);
        $path = (string) parse_url($link, PHP_URL_PATH);
        Auth::logout();
        config(['embrel.sign_up' => 'closed']);
        $this->get($path)->assertOk()->assertSee('accounts are not made by invitations here')->assertDontSee('Make an account');
        $this->post($path, ['name' => 'New', 'password' => 'a long secret'])->assertRedirect($path);
        self::assertFalse(User::query()->where('email', 'new@example.org')->exists());
        config(['embrel.sign_up' => 'invited']);
        $this->post($path, ['name' => 'New', 'password' => 'a long secret'])->assertRedirect("/plans/{$this->row->id}");
        self::assertTrue(User::query()->where('email', 'new@example.org')->exists());
    }

    public function testWhereTheOrganisationIsAwayThePasswordStillWorks(): void
    {
        $this->organisation();
        config(['embrel.organisation.issuer' => 'http://127.0.0.1:1/organisation']);
        Cache::flush();
        $this->get('/sign-in/organisation')->assertRedirect('/sign-in')->assertSessionHasErrors('organisation');
        $this->signIn()->assertRedirect('/plans');
    }

    public function testWithoutAnOrganisationThereIsNoSuchDoor(): void
    {
        Auth::logout();
        $this->get('/sign-in')->assertDontSee('Sign in through');
        $this->get('/sign-in/organisation')->assertNotFound();
        $this->get('/sign-in/organisation/back?code=x&state=y')->assertNotFound();
    }
}
