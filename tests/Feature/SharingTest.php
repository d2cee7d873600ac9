<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Access;
use App\Access\Role;
use App\Models\Invitation;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Notifications\Invited;
use App\Store\Invitations;
use App\Store\Visits;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;

/** Who comes into a plan: by invitation, by a link; and what is new to them. */
final class SharingTest extends TestCase
{
    /** @return string the path that the letter leads to */
    private function invite(string $email, string $role = 'comments', ?Plan $plan = null): string
    {
        $by = User::query()->findOrFail(($plan ?? $this->row)->owner_id);
        $link = app(Invitations::class)->invite($plan ?? $this->row, $by, $email, Role::tryFrom($role));

        return (string) parse_url($link, PHP_URL_PATH);
    }

    /** @return array<string, mixed> */
    private static function loose(string $title): array
    {
        $at = ['parent' => \Embrel\Plan\Plan::TRAY, 'after' => null];

        return ['type' => 'add', 'at' => $at, 'topics' => [['id' => self::newId(), 'title' => $title]]];
    }

    private function told(): TestResponse
    {
        return $this->getJson("/plans/{$this->row->id}/people")->assertOk();
    }

    public function testALetterGoesOutWhoseLinkIsKeptAsItsPrintAlone(): void
    {
        Notification::fake();
        $this->postJson("/plans/{$this->row->id}/invitations", ['email' => ' Ondine@Example.ORG ', 'role' => 'comments'])
            ->assertOk()
            ->assertJsonPath('waiting.0.email', 'ondine@example.org')
            ->assertJsonPath('waiting.0.role', 'comments')
            ->assertJsonMissingPath('letter');
        Notification::assertSentOnDemand(Invited::class, function (Invited $letter, array $by, AnonymousNotifiable $to): bool {
            $mail = $letter->toMail();
            $text = (string) view($mail->view['text'], $mail->viewData);
            preg_match('#/invitations/([A-Za-z0-9]{40})#', $text, $m);
            self::assertSame('Ada asks you to a plan', $mail->subject);
            self::assertStringContainsString('You may comment on it', $text);
            self::assertSame(hash('sha256', $m[1]), Invitation::query()->sole()->token);

            return $to->routes['mail'] === 'ondine@example.org';
        });
        foreach ([['no address', 'reads'], ['x@example.org', 'owner'], [['x'], 'reads']] as [$email, $role]) {
            $this->postJson("/plans/{$this->row->id}/invitations", ['email' => $email, 'role' => $role])->assertUnprocessable();
        }
        self::assertSame(1, Invitation::query()->count());
    }

    public function testALetterThatWasTakenBackBeforeItWentOutDoesNotGo(): void
    {
        $path = $this->invite('ondine@example.org');
        $invitation = Invitation::query()->sole();
        $letter = new Invited($invitation->id, basename($path));
        self::assertTrue($letter->shouldSend());
        $this->deleteJson("/plans/{$this->row->id}/invitations/{$invitation->id}")->assertOk()->assertJsonPath('waiting', []);
        self::assertFalse($letter->shouldSend());
        $this->app['auth']->forgetGuards();
        $this->get($path)->assertNotFound()->assertSee('This invitation is over');
        $this->post($path, ['name' => 'Ondine', 'password' => 'a long secret'])->assertRedirect($path);
        self::assertNull(User::query()->where('email', 'ondine@example.org')->first());
    }

    public function testWhoHasNoAccountMakesOneOnTheWayAndIsInOnce(): void
    {
        $path = $this->invite('ondine@example.org', 'writes');
        $this->app['auth']->forgetGuards();
        $this->get($path)->assertOk()->assertSee('Ada asks you to')->assertSee('ondine@example.org');
        // Looking at it has used nothing.
        $this->post($path, ['name' => '', 'password' => 'short'])->assertSessionHasErrors(['name', 'password']);
        $this->post($path, ['name' => 'Ondine Lark', 'password' => 'a long secret'])->assertRedirect("/plans/{$this->row->id}");
        $ondine = User::query()->where('email', 'ondine@example.org')->sole();
        $this->assertAuthenticatedAs($ondine);
        self::assertSame(Role::Writes, Access::of($ondine, $this->row));
        $this->get("/plans/{$this->row->id}")->assertOk();
        // It works once.
        $this->get($path)->assertSee('This invitation is over');
        $this->post($path)->assertRedirect($path);
        $this->actingAs($this->user);
        $this->told()->assertJsonPath('waiting', [])->assertJsonPath('people.1.name', 'Ondine Lark');
    }

    public function testAnInvitationIsForItsAddressAlone(): void
    {
        $path = $this->invite('ondine@example.org');
        $mallory = $this->account('mallory');
        $this->actingAs($mallory)->get($path)->assertSee('This invitation is for another address');
        $this->post($path)->assertRedirect($path);
        self::assertNull(Access::of($mallory, $this->row));
        self::assertSame(1, Invitation::query()->count());
        // Who has an account signs in, and comes back to it; a form for a new one opens nothing.
        $ondine = $this->account('ondine');
        $this->post('/sign-out');
        $this->get($path)->assertSee('Sign in, and you are there');
        $this->post($path, ['name' => 'X', 'password' => 'a long secret'])->assertRedirect($path);
        $this->assertGuest();
        $this->post('/sign-in', ['email' => 'ondine@example.org', 'password' => 'a long secret'])->assertRedirect($path);
        $this->post($path)->assertRedirect("/plans/{$this->row->id}");
        self::assertSame(Role::Comments, Access::of($ondine, $this->row));
    }

    public function testAnInvitationEndsAndCanBeSentAgain(): void
    {
        $old = $this->invite('ondine@example.org');
        $new = $this->invite('ondine@example.org', 'reads');
        self::assertSame(1, Invitation::query()->count());
        $this->app['auth']->forgetGuards();
        $this->get($old)->assertSee('This invitation is over');
        $this->get($new)->assertSee('You may read it');
        $this->travel(Invitations::HOLDS)->days();
        $this->get($new)->assertSee('This invitation is over');
        $this->actingAs($this->user);
        $this->told()->assertJsonPath('waiting.0.isOver', true);
        $again = $this->invite('ondine@example.org');
        $this->app['auth']->forgetGuards();
        $this->get($again)->assertSee('You may comment on it');
    }

    public function testWhoIsInIsNotAskedAgain(): void
    {
        $ben = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $ben->id, 'role' => Role::Reads]);
        foreach (['ben@example.org', 'ada@example.org'] as $email) {
            $this->postJson("/plans/{$this->row->id}/invitations", ['email' => $email, 'role' => 'writes'])
                ->assertUnprocessable()
                ->assertJsonPath('message', "{$email} is in this plan already. What they may do is set in the list.");
        }
        $this->putJson("/plans/{$this->row->id}/people/{$ben->id}", ['role' => 'writes'])
            ->assertOk()
            ->assertJsonPath('people.1.role', 'writes');
        $this->putJson("/plans/{$this->row->id}/people/{$ben->id}", ['role' => 'owner'])->assertUnprocessable();
        $this->putJson("/plans/{$this->row->id}/people/{$this->user->id}", ['role' => 'reads'])->assertNotFound();
        $before = $this->row->refresh()->people_revision;
        $this->deleteJson("/plans/{$this->row->id}/people/{$ben->id}")->assertOk()->assertJsonCount(1, 'people');
        self::assertGreaterThan($before, $this->row->refresh()->people_revision);
        self::assertNull(Access::of($ben, $this->row));
    }

    public function testAPlanIsHandedToAnotherWhoAcceptsIt(): void
    {
        $ben = $this->account('ben');
        $carl = $this->account('carl');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $ben->id, 'role' => Role::Reads]);
        $offer = "/plans/{$this->row->id}/offer";
        $this->putJson($offer, ['person' => $carl->id])->assertNotFound();
        $this->putJson($offer, ['person' => $ben->id])->assertOk()->assertJsonPath('offered', $ben->id);
        $this->post("{$offer}/answer", ['accept' => 1])->assertNotFound();
        $this->actingAs($ben)->get('/plans?shelf=shared')->assertSee('would hand “Test plan” over to', false);
        $this->post("{$offer}/answer", ['accept' => 0])->assertRedirect('/plans?shelf=shared');
        $this->post("{$offer}/answer", ['accept' => 1])->assertNotFound();
        $this->actingAs($this->user)->putJson($offer, ['person' => $ben->id])->assertOk();
        $this->actingAs($ben)->post("{$offer}/answer", ['accept' => 1])->assertRedirect('/plans');
        self::assertSame(Role::Owner, Access::of($ben, $this->row->refresh()));
        self::assertSame(Role::Writes, Access::of($this->user, $this->row));
        // Whose it was can go now, and an owner cannot.
        $this->actingAs($this->user)->delete("/plans/{$this->row->id}/people/me")->assertRedirect('/plans?shelf=shared');
        self::assertNull(Access::of($this->user, $this->row));
        $this->actingAs($ben)->delete("/plans/{$this->row->id}/people/me")->assertNotFound();
    }

    // ---- By a link

    /** @param array<string, mixed> $set */
    private function link(array $set = []): string
    {
        $told = $this->putJson("/plans/{$this->row->id}/link", $set + ['role' => 'reads'])->assertOk();
        $this->app['auth']->forgetGuards();

        return (string) parse_url((string) $told->json('address'), PHP_URL_PATH);
    }

    public function testALinkShowsThePlanToAnybodyAndNothingThatIsNotForThem(): void
    {
        $this->row = $this->start("Wall\n  Clay\n  Never print this\n    Nor this\nTide");
        foreach ([['type' => 'kind', 'ids' => [$this->id('Never print this')], 'value' => 'aside'],
            self::loose('Loose one'),
        ] as $one) {
            $this->send($one)->assertOk()->assertJsonPath('refused', []);
        }
        $path = $this->link();
        self::assertMatchesRegularExpression('#\A/read/[0-9A-HJKMNP-TV-Z]{26}\z#', $path);
        self::assertSame(hash('sha256', basename($path)), DB::table('links')->value('token'));
        foreach (['', '/map', '/draft', '/pages'] as $view) {
            $page = $this->get($path . $view)->assertOk()->assertSee('Clay');
            $page->assertHeader('X-Robots-Tag', 'noindex, nofollow, noarchive');
            $page->assertSee('<meta name="robots" content="noindex, nofollow">', false);
            foreach (['Never print this', 'Nor this', 'Loose one'] as $hidden) {
                $page->assertDontSee($hidden);
            }
        }
        $this->get("{$path}/nothing")->assertNotFound();
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['shows_loose' => true, 'shows_asides' => true])
            ->assertOk()
            ->assertJsonMissingPath('address');
        $this->app['auth']->forgetGuards();
        $this->get($path)->assertSee('Never print this')->assertSee('Loose one');
        foreach (['/draft', '/pages'] as $view) {
            $this->get($path . $view)->assertSee('Never print')->assertSee('Nor');
        }
    }

    public function testALinkGivesThePictureOfTheMapWithoutWhatIsNotForThem(): void
    {
        $this->row = $this->start("Wall\n  Clay\n  Never print this\nTide");
        $this->send(['type' => 'kind', 'ids' => [$this->id('Never print this')], 'value' => 'aside'])->assertOk();
        $path = $this->link();
        $size = function (string $picture) use ($path): array {
            $answer = $this->get("{$path}/{$picture}")->assertOk();
            $size = getimagesizefromstring($answer->streamedContent()) ?: [0, 0, 'mime' => ''];
            self::assertSame($size['mime'], $answer->headers->get('Content-Type'));

            return $size;
        };
        self::assertSame(['image/png', 'image/jpeg', 'image/webp'], array_map(
            static fn(string $type): string => $size("map.{$type}")['mime'],
            ['png', 'jpeg', 'webp'],
        ));
        [$wide, $high] = $size('map.png?scale=1');
        [$wider, $higher] = $size('map.png?scale=4');
        self::assertEqualsWithDelta([4.0, 4.0], [$wider / $wide, $higher / $high], 0.02);
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['shows_asides' => true])->assertOk();
        $this->app['auth']->forgetGuards();
        self::assertGreaterThan($high, $size('map.png?scale=1')[1], 'The aside stands in it now.');
    }

    public function testALinkIsRenewedEndsAndIsSwitchedOff(): void
    {
        $old = $this->link(['ends_on' => now()->addDays(2)->format('Y-m-d')]);
        $this->get($old)->assertOk();
        $this->actingAs($this->user);
        $new = (string) parse_url((string) $this->postJson("/plans/{$this->row->id}/link")->assertOk()->json('address'), PHP_URL_PATH);
        $this->app['auth']->forgetGuards();
        $this->get($old)->assertNotFound();
        $this->get($new)->assertOk();
        $this->travel(3)->days();
        $this->get($new)->assertNotFound();
        $this->get("{$new}/pictures/" . str_repeat('a', 64))->assertNotFound();
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['ends_on' => null])->assertOk();
        $this->get($new)->assertOk();
        $this->putJson("/plans/{$this->row->id}/link", ['ends_on' => '2020-01-01'])->assertUnprocessable();
        $this->deleteJson("/plans/{$this->row->id}/link")->assertOk()->assertJsonPath('link', null);
        $this->get($new)->assertNotFound();
        // A plan that is deleted is not there by its link either.
        $again = $this->link();
        Plan::query()->whereKey($this->row->id)->delete();
        $this->get($again)->assertNotFound();
    }

    public function testALinkWithAPasswordOpensWithIt(): void
    {
        $path = $this->link(['password' => 'samphire']);
        $this->get($path)->assertOk()->assertSee('This plan has a password')->assertDontSee('A1');
        foreach (['/map', '/draft', '/pages'] as $view) {
            $this->get($path . $view)->assertDontSee('A1');
        }
        $this->post("{$path}/password", ['password' => 'wrong'])->assertSessionHasErrors('password');
        $this->post("{$path}/password", ['password' => ['samphire']])->assertSessionHasErrors('password');
        $this->post("{$path}/password", ['password' => 'samphire'])->assertRedirect($path);
        $this->get($path)->assertSee('A1');
        // Another password closes it for whoever came by the one before.
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['password' => 'glasswort'])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->get($path)->assertSee('This plan has a password');
        for ($i = 0; $i < 12; ++$i) {
            $last = $this->post("{$path}/password", ['password' => "guess {$i}"])->getStatusCode();
        }
        self::assertSame(429, $last);
    }

    public function testGuessingAtLinksIsStopped(): void
    {
        $path = $this->link();
        for ($i = 0; $i < 20; ++$i) {
            $this->get('/read/' . \App\Store\Links::end())->assertNotFound();
        }
        $this->get('/read/' . \App\Store\Links::end())->assertStatus(429);
        $this->get($path)->assertStatus(429);
        $this->travel(2)->minutes();
        $this->get($path)->assertOk();
    }

    public function testACopyIsMadeByALinkThatAllowsIt(): void
    {
        $path = $this->link();
        $ben = $this->account('ben');
        $this->actingAs($ben)->post("{$path}/copy")->assertForbidden();
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['copies' => true]);
        $this->send(self::loose('Loose'));
        $this->app['auth']->forgetGuards();
        $this->post("{$path}/copy")->assertRedirect('/sign-in');
        $this->actingAs($ben)->post("{$path}/copy")->assertRedirect();
        $copy = $ben->plans()->sole();
        self::assertSame('Test plan (copy)', $copy->title);
        self::assertSame(0, DB::table('topics')->where('plan_id', $copy->id)->where('title', 'Loose')->count());
        self::assertNull(Access::of($ben, $this->row));
    }

    public function testWhoCommentsByALinkGivesANameAndSeesWhatTheyMay(): void
    {
        $ondine = $this->account('ondine');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $ondine->id, 'role' => Role::Comments]);
        $path = $this->link();
        $a = $this->id('A');
        $said = ['name' => 'A reader', 'body' => 'What <b>of</b> it?', 'topic' => $a];
        $this->post("{$path}/comments", $said)->assertForbidden();
        $this->actingAs($ondine);
        [$head, $settled] = [self::newId(), self::newId()];
        $all = [[$head, 'Among us', null], [$settled, 'Done', null], [self::newId(), 'Indeed', $settled], [self::newId(), 'Yes', $head]];
        foreach ($all as $one) {
            $body = array_combine(['id', 'body', 'thread'], $one) + ['topic' => $a];
            $this->postJson("/plans/{$this->row->id}/comments", $body)->assertOk();
        }
        $this->postJson("/plans/{$this->row->id}/comments/{$settled}/settle", ['settled' => true])->assertOk();
        $this->actingAs($this->user)->putJson("/plans/{$this->row->id}/link", ['role' => 'comments'])->assertOk();
        $this->app['auth']->forgetGuards();
        foreach ([['name' => ''], ['body' => ''], ['topic' => 'x']] as $bad) {
            $this->post("{$path}/comments", $bad + $said)->assertSessionHasErrors(array_key_first($bad));
        }
        $this->post("{$path}/comments", ['topic' => self::newId()] + $said)->assertNotFound();
        $this->post("{$path}/comments", $said)->assertRedirect("{$path}/draft#t{$a}");
        $this->get("{$path}/draft")->assertSee('A reader')->assertSee('What &lt;b&gt;of&lt;/b&gt; it?', false)->assertDontSee('Among us');
        $this->flushSession();
        $this->get("{$path}/draft")->assertDontSee('A reader');
        $this->actingAs($this->user)->getJson("/plans/{$this->row->id}/comments")
            ->assertJsonPath('comments.4.by', 'A reader')
            ->assertJsonPath('comments.4.isGuest', true);
        $this->putJson("/plans/{$this->row->id}/link", ['shows_comments' => true])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->get("{$path}/draft")
            ->assertSeeInOrder(['Among us', 'Yes', 'A reader'])
            ->assertDontSee('Done')
            ->assertDontSee('Indeed');
    }

    // ---- Copies for many

    public function testAPlanIsGivenOutAsCopiesWhoseProgressAloneIsSeen(): void
    {
        Notification::fake();
        $page = "/plans/{$this->row->id}/copies-given";
        $this->post($page, ['emails' => "kim@example.org\nno address"])->assertSessionHasErrors('emails');
        self::assertSame(0, Invitation::query()->count());
        $this->post($page, ['emails' => "Kim Reed <Kim@example.org>, lee@example.org;\n  kim@example.org"])->assertSessionHasNoErrors();
        Notification::assertSentOnDemandTimes(Invited::class, 2);
        self::assertSame(['kim@example.org', 'lee@example.org'], Invitation::query()->orderBy('email')->pluck('email')->all());
        $token = str_repeat('k', 40);
        Invitation::query()->where('email', 'kim@example.org')->update(['token' => hash('sha256', $token)]);
        $this->app['auth']->forgetGuards();
        $this->get("/invitations/{$token}")->assertSee('gives you a copy of')->assertSee('and nothing else of it');
        $this->post("/invitations/{$token}", ['name' => 'Kim Reed', 'password' => 'a long secret'])->assertRedirect();
        $kim = User::query()->where('email', 'kim@example.org')->sole();
        $copy = $kim->plans()->sole();
        self::assertSame('Test plan', $copy->title);
        // The model is not theirs to see, nor the copy the giver's.
        self::assertNull(Access::of($kim, $this->row));
        self::assertNull(Access::of($this->user, $copy));
        DB::table('plans')->where('id', $copy->id)->update([
            'words' => 120,
            'strip' => json_encode([
                ['id' => 'x', 'title' => 'Their own title', 'label' => '1', 'dye' => 'fern', 'share' => 1, 'filled' => 0.5],
            ]),
        ]);
        $this->actingAs($this->user)->get($page)->assertSee('Kim Reed')->assertSee('120')->assertSee('lee@example.org')
            ->assertDontSee('Their own title');
        $this->post($page, ['emails' => 'kim@example.org'])->assertSessionHas('said', '0 letters are on their way. kim@example.org has a copy already.');
        $waiting = Invitation::query()->sole();
        $this->delete("{$page}/{$waiting->id}")->assertRedirect();
        self::assertSame(0, Invitation::query()->count());
        $copy->delete();
        $this->get($page)->assertSee('deleted');
    }

    // ---- What is new

    public function testWhatOthersDidSinceOnesVisitIsNewUntilItIsSeen(): void
    {
        $ben = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $ben->id, 'role' => Role::Writes]);
        // Who comes for the first time finds nothing new.
        self::assertSame([], Visits::begin($ben, $this->row)['topics']);
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Clay'])->assertOk();
        $this->send(['type' => 'retitle', 'topic' => $this->id('B'), 'title' => 'Tide'])->assertOk();
        [$clay, $tide] = [$this->id('Clay'), $this->id('Tide')];
        self::assertSame(['changes' => 2, 'comments' => 0, 'by' => ['Ada']], Visits::news($ben)[$this->row->id]);
        self::assertSame([], Visits::news($this->user));
        $fresh = Visits::begin($ben, $this->row->refresh())['topics'];
        sort($fresh);
        $both = [$clay, $tide];
        sort($both);
        self::assertSame($both, $fresh);
        $this->actingAs($ben)->get('/plans?shelf=shared')->assertSee('2 new changes')->assertSee('by Ada');
        // What one has changed oneself since is not new.
        $this->send(['type' => 'retitle', 'topic' => $tide, 'title' => 'The tide'])->assertOk();
        self::assertSame([$clay], Visits::begin($ben, $this->row->refresh())['topics']);
        $this->postJson("/plans/{$this->row->id}/seen", ['topics' => [$clay]])->assertNoContent();
        self::assertSame([], Visits::begin($ben, $this->row)['topics']);
        self::assertSame([], Visits::news($ben));
        foreach ([['topics' => 'x'], ['topics' => [1]], ['upTo' => -1], ['upTo' => 'x']] as $bad) {
            $this->postJson("/plans/{$this->row->id}/seen", $bad)->assertUnprocessable();
        }
        $this->actingAs($this->user)->send(['type' => 'retitle', 'topic' => $clay, 'title' => 'Loam'])->assertOk();
        $this->actingAs($ben)->postJson("/plans/{$this->row->id}/seen", ['upTo' => 999_999])->assertNoContent();
        self::assertSame([], Visits::news($ben));
        $this->actingAs($this->user)->send(['type' => 'retitle', 'topic' => $clay, 'title' => 'Marl'])->assertOk();
        self::assertCount(1, Visits::news($ben));
    }
}
