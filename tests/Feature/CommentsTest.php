<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Models\Comment;
use App\Models\Share;
use App\Models\User;
use App\Notifications\Said;
use App\Store\Letters;
use App\Store\Notices;
use App\Store\Visits;
use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;

/** What is said beside the text: where, by whom, to whom it is told; and what is suggested. */
final class CommentsTest extends TestCase
{
    private User $ben;
    private User $ondine;

    protected function setUp(): void
    {
        parent::setUp();
        Notification::fake();
        $this->ben = $this->account('ben');
        $this->ondine = $this->account('ondine');
        foreach ([[$this->ben, Role::Writes], [$this->ondine, Role::Comments]] as [$person, $role]) {
            Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $person->id, 'role' => $role]);
        }
    }

    /** @param array<string, mixed> $more */
    private function say(string $topic, string $body, array $more = []): TestResponse
    {
        $said = $more + ['id' => self::newId(), 'topic' => $topic, 'body' => $body];

        return $this->postJson("/plans/{$this->row->id}/comments", $said);
    }

    /** @return string the id of what was said last */
    private function said(string $topic, string $body, array $more = []): string
    {
        $id = self::newId();
        $this->say($topic, $body, $more + ['id' => $id])->assertOk();

        return $id;
    }

    /** @return array<string, mixed> a comment as a page is told it */
    private function told(string $id): array
    {
        $all = $this->getJson("/plans/{$this->row->id}/comments")->assertOk()->json('comments');

        return array_column($all, null, 'id')[$id] ?? self::fail('It is not told.');
    }

    private function path(string $id, string $act = ''): string
    {
        return "/plans/{$this->row->id}/comments/{$id}{$act}";
    }

    /** @return array{string, string} the topic, and the block of the note that it is given */
    private function noted(string $title, string $text): array
    {
        [$topic, $block] = [$this->id($title), self::newId()];
        $this->write($topic, $block, $text);

        return [$topic, $block];
    }

    private function write(string $topic, string $block, ?string $text): void
    {
        $this->send(
            ['type' => 'note', 'topic' => $topic, 'put' => $text === null ? [] : [Node::plain($text, $block)->toArray()],
                'remove' => $text === null ? [$block] : [], 'order' => null, 'base' => []],
        )->assertOk()->assertJsonPath('refused', []);
    }

    public function testWhatIsSaidIsToldWithWhoSaidItAndWhatIsNewSince(): void
    {
        $a = $this->id('A');
        $id = $this->actingAs($this->ondine)->said($a, "Which wall?\x07\nThe parish has two.");
        self::assertEquals(
            ['topic' => $a, 'by' => 'Ondine', 'body' => "Which wall?\nThe parish has two.", 'isOwn' => true],
            array_intersect_key($this->told($id), ['topic' => 1, 'by' => 1, 'body' => 1, 'isOwn' => 1]),
        );
        // The same again is the same comment.
        $this->say($a, 'Which wall?', ['id' => $id])->assertOk()->assertJsonCount(1, 'comments');
        $talk = $this->row->refresh()->talk_revision;
        $answer = $this->actingAs($this->user)->say($a, 'The one of 1887.', ['thread' => $id, 'since' => $talk])->assertOk();
        $answer->assertJsonCount(1, 'comments')->assertJsonPath('comments.0.thread', $id)->assertJsonPath('talk', $talk + 1);
        self::assertArrayNotHasKey('isOwn', $this->told($id));
        // It is no part of the plan, nor of its undo.
        $this->step('undo')->assertJsonPath('nothing', true);
        self::assertSame(1, $this->row->refresh()->revision);
    }

    public function testNothingIsSaidThatCannotBe(): void
    {
        $a = $this->id('A');
        foreach ([[$a, ''], [$a, '   '], [$a, str_repeat('x', Limits::COMMENT + 1)], ['x', 'Hello'], [$a, ['x']]] as [$topic, $body]) {
            $this->postJson("/plans/{$this->row->id}/comments", ['id' => self::newId(), 'topic' => $topic, 'body' => $body])
                ->assertUnprocessable();
        }
        $theirs = $this->start('X', $this->account('carl'));
        $topic = app(\App\Store\PlanStore::class)->load($theirs)->parts(Plan::ROOT)[0];
        $this->say($topic, 'Hello')->assertNotFound();
        $this->say($a, 'Hello', ['thread' => self::newId()])->assertNotFound();
        self::assertSame(0, Comment::query()->where('plan_id', $this->row->id)->count());
    }

    public function testOnesOwnIsChangedAndTakenBackAndNobodyElses(): void
    {
        $id = $this->actingAs($this->ondine)->said($this->id('A'), 'Which wall?');
        foreach (['patchJson' => ['body' => 'Mine'], 'deleteJson' => []] as $verb => $body) {
            $this->actingAs($this->ben)->{$verb}($this->path($id), $body)->assertNotFound();
        }
        $this->actingAs($this->ondine)->patchJson($this->path($id), ['body' => 'Which of the walls?'])->assertOk();
        self::assertSame('Which of the walls?', $this->told($id)['body']);
        self::assertTrue($this->told($id)['isEdited']);
        $this->actingAs($this->ben)->said($this->id('A'), 'The second.', ['thread' => $id]);
        $this->actingAs($this->ondine)->deleteJson($this->path($id))->assertOk();
        self::assertSame(['', true], [$this->told($id)['body'], $this->told($id)['isTakenBack']]);
        self::assertSame('', Comment::query()->findOrFail($id)->body);
        $this->patchJson($this->path($id), ['body' => 'Again'])->assertNotFound();
        // The owner of the plan takes back anybody's.
        $other = $this->said($this->id('B'), 'Nonsense');
        $this->actingAs($this->user)->deleteJson($this->path($other))->assertOk();
        self::assertSame(2, Comment::query()->whereNotNull('taken_back_at')->count());
    }

    public function testItIsSettledAndAnAnswerOpensItAgain(): void
    {
        $id = $this->said($this->id('A'), 'Which wall?');
        $this->actingAs($this->ondine)->postJson($this->path($id, '/settle'), ['settled' => true])->assertOk();
        self::assertSame('Ondine', $this->told($id)['settled']);
        $this->said($this->id('A'), 'Not yet.', ['thread' => $id]);
        self::assertArrayNotHasKey('settled', $this->told($id));
        $this->postJson($this->path($id, '/settle'), ['settled' => true])->assertOk();
        $this->postJson($this->path($id, '/settle'), ['settled' => false])->assertOk();
        self::assertArrayNotHasKey('settled', $this->told($id));
    }

    // ---- On words

    public function testACommentStaysWithItsWordsThroughEveryChange(): void
    {
        [$a, $block] = $this->noted('A1', 'Seven parishes paid. The minute book tells.');
        $words = ['text' => 'minute book', 'nth' => 0];
        $id = $this->said($a, 'Which minute book?', ['words' => $words]);
        self::assertSame('minute book', $this->told($id)['anchor']['words']);
        $talk = $this->row->refresh()->talk_revision;
        $this->write($a, $block, 'In 1887 seven parishes paid. The minute book tells.');
        self::assertSame('minute book', $this->told($id)['anchor']['words']);
        // Where it is the same words, nobody has to be told.
        self::assertSame($talk, $this->row->refresh()->talk_revision);
        $this->write($a, $block, 'In 1887 seven parishes paid. The old minute book of the vestry tells.');
        $this->write($a, $block, 'The old minute ledger of the vestry tells.');
        self::assertSame('minute ledger', $this->told($id)['anchor']['words']);
        self::assertGreaterThan($talk, $this->row->refresh()->talk_revision);
        // Gone: it says what they were. Back again, by undo: it is with them.
        $this->write($a, $block, 'Nothing is known of it.');
        self::assertSame(['minute ledger', true], [$this->told($id)['anchor']['words'], $this->told($id)['anchor']['gone']]);
        $this->step('undo')->assertOk();
        self::assertSame(['minute ledger', false], [$this->told($id)['anchor']['words'], $this->told($id)['anchor']['gone']]);
    }

    public function testACommentGoesAlongWhereItsWordsGoToAnotherNoteAndComesBackByUndo(): void
    {
        [$a, $block] = $this->noted('A1', 'The minute book tells.');
        [$b] = $this->noted('B1', 'Another thing.');
        $id = $this->said($a, 'Which?', ['words' => ['text' => 'minute book', 'nth' => 0]]);
        $answer = $this->said($a, 'This.', ['thread' => $id]);
        $step = self::newId();
        $this->send(
            ['type' => 'note', 'topic' => $a, 'put' => [], 'remove' => [$block], 'order' => null, 'base' => [], 'step' => $step],
            ['type' => 'note', 'topic' => $b, 'put' => [Node::plain('The minute book tells.', self::newId())->toArray()],
                'remove' => [], 'order' => null, 'base' => [], 'step' => $step],
        )->assertOk();
        self::assertSame([$b, $b, false], [$this->told($id)['topic'], $this->told($answer)['topic'], $this->told($id)['anchor']['gone']]);
        $this->step('undo')->assertOk();
        self::assertSame([$a, $a, false], [$this->told($id)['topic'], $this->told($answer)['topic'], $this->told($id)['anchor']['gone']]);
    }

    public function testWordsThatAreNotThereCannotBeSpokenOf(): void
    {
        [$a, $block] = $this->noted('A1', 'Short.');
        $this->say($a, 'Which?', ['words' => ['text' => 'minute book', 'nth' => 0]])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'These words do not stand so in the note. Mark some within one paragraph, without a citation or footnote among them.');
        $bad = [['text' => 'Short', 'nth' => 1], ['text' => 'Short'], 'x', ['text' => '', 'nth' => 0], ['text' => 'Short', 'nth' => -1]];
        foreach ($bad as $words) {
            $this->say($a, 'Which?', ['words' => $words])->assertUnprocessable();
        }
    }

    // ---- Whom it is told

    public function testWhomItConcernsHearsOfItOnceAndNobodyOfTheirOwn(): void
    {
        $a = $this->id('A');
        $this->account('ondinella');
        $id = $this->actingAs($this->ondine)->said($a, 'Which wall, @Ben? And @nobody, @Ondine.');
        $kinds = static fn(User $user): array => DB::table('notices')->where('user_id', $user->id)->orderBy('id')->pluck('kind')->all();
        self::assertSame([['mention'], ['comment'], []], [$kinds($this->ben), $kinds($this->user), $kinds($this->ondine)]);
        Notification::assertSentTo($this->ben, Said::class);
        Notification::assertNotSentTo([$this->user, $this->ondine], Said::class);
        self::assertSame('Ondine mentioned you', Notices::unseen($this->ben)[0]['says']);
        $this->actingAs($this->ben)->said($a, 'The second.', ['thread' => $id]);
        self::assertSame(['answer'], $kinds($this->ondine));
        self::assertTrue(\in_array('Ben', $this->told($id)['mentions'], true) && $this->told($id)['isToYou']);
        // Whoever is named when it is changed hears of it then.
        $this->actingAs($this->ondine)->patchJson($this->path($id), ['body' => 'Which wall, @Ben and @Ada?'])->assertOk();
        self::assertSame(['comment', 'comment', 'mention'], $kinds($this->user));
        self::assertSame(['mention'], $kinds($this->ben));
        $this->actingAs($this->user)->get('/plans')->assertSee('Ondine mentioned you');
        $this->postJson("/plans/{$this->row->id}/comments/seen")->assertOk();
        self::assertSame([], Notices::unseen($this->user));
    }

    public function testALetterTellsWhatWasSaidToWhoMaySeeItAndOnce(): void
    {
        $id = $this->actingAs($this->ondine)->said($this->id('A'), "Which wall, @Ben?\nThe other?");
        $letter = new Said((string) DB::table('notices')->where('user_id', $this->ben->id)->value('id'));
        self::assertTrue($letter->shouldSend($this->ben));
        // Who was taken out meanwhile is told nothing.
        Share::query()->where('user_id', $this->ben->id)->update(['plan_id' => $this->start('Other')->id]);
        self::assertFalse($letter->shouldSend($this->ben));
        Share::query()->where('user_id', $this->ben->id)->update(['plan_id' => $this->row->id]);
        $mail = $letter->toMail($this->ben);
        $text = (string) view($mail->view['text'], $mail->viewData);
        self::assertSame('Ondine mentioned you in “Test plan”', $mail->subject);
        self::assertStringContainsString("    Which wall, @Ben?\n    The other?", $text);
        self::assertStringContainsString("/plans/{$this->row->id}#comment={$id}", $text);
        self::assertTrue($letter->shouldSend($this->ben), 'Where the post does not take it, it goes out later.');
        $letter->afterSending();
        self::assertFalse($letter->shouldSend($this->ben));
    }

    public function testTheLetterOfTheDayHoldsAllThatWasNotSeen(): void
    {
        $this->ben->update(['letters' => ['mention' => 'daily', 'answer' => 'none', 'comment' => 'daily']]);
        $this->actingAs($this->ondine);
        $first = $this->said($this->id('A'), 'First for @Ben');
        $this->said($this->id('B'), 'Second');
        Notification::assertNotSentTo($this->ben, Said::class);
        $this->travelTo('2026-12-01 12:00:00');
        \Artisan::call('embrel:letters');
        Notification::assertNotSentTo($this->ben, Said::class);
        $this->travelTo('2026-12-02 07:10:00');
        \Artisan::call('embrel:letters');
        Notification::assertSentTo($this->ben, Said::class, function (Said $letter) use ($first): bool {
            $mail = $letter->toMail($this->ben);
            $text = (string) view($mail->view['text'], $mail->viewData);
            $letter->afterSending();

            return $mail->subject === '2 new comments' && strpos($text, 'First') < strpos($text, 'Second') && str_contains($text, $first);
        });
        self::assertSame([], Notices::forLetter($this->ben));
    }

    public function testWhoWishesIsLeftAloneByOnePress(): void
    {
        $off = \URL::signedRoute('letters.off', ['user' => $this->ben->id]);
        $this->app['auth']->forgetGuards();
        $this->get($off)->assertOk()->assertSee('Send me no more letters');
        self::assertNull($this->ben->refresh()->letters);
        $this->post(str_replace('signature=', 'signature=0', $off))->assertForbidden();
        $this->post($off)->assertOk()->assertSee('No more letters');
        self::assertSame(Letters::None, $this->ben->refresh()->letters(\App\Store\NoticeKind::Mention));
        $this->actingAs($this->ondine)->said($this->id('A'), '@Ben?');
        Notification::assertNotSentTo($this->ben, Said::class);
        self::assertCount(1, Notices::unseen($this->ben));
        $this->actingAs($this->ben)->put('/account/letters', ['mention' => 'at-once', 'answer' => 'daily', 'comment' => 'never'])
            ->assertSessionHasErrors('comment');
        $this->put('/account/letters', ['mention' => 'at-once', 'answer' => 'daily', 'comment' => 'none'])->assertSessionHasNoErrors();
        self::assertSame(Letters::AtOnce, $this->ben->refresh()->letters(\App\Store\NoticeKind::Mention));
    }

    public function testCommentsThatAreNewSinceOnesVisitAreCounted(): void
    {
        Visits::begin($this->ben, $this->row);
        $this->actingAs($this->ondine)->said($this->id('A'), 'New');
        self::assertSame(1, Visits::news($this->ben)[$this->row->id]['comments']);
        $this->actingAs($this->ben)->postJson("/plans/{$this->row->id}/seen", ['talk' => true])->assertNoContent();
        self::assertSame([], Visits::news($this->ben));
    }

    public function testWhatWasSaidInAnotherPlanIsNotThereByItsId(): void
    {
        $id = $this->said($this->id('A'), 'Which?', ['proposal' => ['kind' => 'title', 'text' => 'X']]);
        $own = $this->start('Own', $this->ben);
        $this->actingAs($this->ben);
        $topic = app(\App\Store\PlanStore::class)->load($own)->parts(Plan::ROOT)[0];
        $acts = [['patch', ''], ['delete', ''], ['post', '/settle'], ['post', '/take'], ['post', '/decline'], ['post', '/files']];
        foreach ($acts as [$verb, $act]) {
            $body = ['body' => 'Mine', 'settled' => true, 'base' => 1, 'id' => self::newId(), 'holder' => $id, 'text' => 'x'];
            $this->json($verb, "/plans/{$own->id}/comments/{$id}{$act}", $body)->assertNotFound();
        }
        $answer = ['id' => self::newId(), 'topic' => $topic, 'body' => 'An answer', 'thread' => $id];
        $this->postJson("/plans/{$own->id}/comments", $answer)->assertNotFound();
        $this->postJson("/plans/{$own->id}/comments", ['id' => $id, 'topic' => $topic, 'body' => 'Taken'])->assertNotFound();
        self::assertSame(1, Comment::query()->whereIn('plan_id', [$own->id, $this->row->id])->count());
    }

    // ---- Votes

    public function testAVoteIsCountedInTheOpenOrInSecretUntilItIsClosed(): void
    {
        $votes = "/plans/{$this->row->id}/votes";
        [$a, $b, $c] = array_map($this->id(...), ['A', 'B', 'C']);
        foreach ([['topics' => [$a]], ['topics' => [$a, self::newId()]], ['signs' => 0], ['question' => '']] as $bad) {
            $this->postJson($votes, $bad + ['question' => 'Which?', 'topics' => [$a, $b], 'signs' => 3, 'secret' => false])
                ->assertUnprocessable();
        }
        $this->actingAs($this->ondine)->postJson($votes, ['question' => 'Which?', 'topics' => [$a, $b], 'signs' => 3, 'secret' => false])
            ->assertForbidden();
        $this->actingAs($this->user);
        $open = $this->postJson($votes, ['question' => 'Which?', 'topics' => [$a, $b, $c], 'signs' => 3, 'secret' => false])
            ->assertOk()->json('votes.0.id');
        $secret = $this->postJson($votes, ['question' => 'In secret?', 'topics' => [$a, $b], 'signs' => 1, 'secret' => true])
            ->assertOk()->json('votes.0.id');
        $talk = $this->row->refresh()->talk_revision;
        $this->actingAs($this->ondine)->putJson("{$votes}/{$open}", ['signs' => [$b => 2, $c => 1]])->assertOk();
        self::assertGreaterThan($talk, $this->row->refresh()->talk_revision);
        $this->putJson("{$votes}/{$open}", ['signs' => [$b => 2, $c => 2]])->assertUnprocessable()
            ->assertJsonPath('message', 'You have 3 signs to give.');
        $this->putJson("{$votes}/{$secret}", ['signs' => [$b => 1]])->assertOk()->assertJsonMissingPath('votes.0.counts');
        $this->actingAs($this->ben)->putJson("{$votes}/{$open}", ['signs' => [$c => 2]])->assertOk();
        // What one gives again stands in the place of what one gave.
        $this->putJson("{$votes}/{$open}", ['signs' => [$c => 3]])->assertOk()
            ->assertJsonPath('votes.1.counts', [[$c, 4], [$b, 2], [$a, 0]])
            ->assertJsonPath('votes.1.own', [$c => 3])
            ->assertJsonPath('votes.1.voters', 2);
        $this->postJson("{$votes}/{$secret}/close")->assertForbidden();
        $this->actingAs($this->user)->postJson("{$votes}/{$secret}/close")
            ->assertOk()
            ->assertJsonPath('votes.0.counts', [[$b, 1], [$a, 0]]);
        $this->actingAs($this->ondine)->putJson("{$votes}/{$secret}", ['signs' => [$a => 1]])->assertNotFound();
        $this->putJson("{$votes}/" . self::newId(), ['signs' => []])->assertNotFound();
        $this->actingAs($this->user)->deleteJson("{$votes}/{$open}")->assertOk()->assertJsonCount(1, 'votes');
    }

    // ---- Files

    public function testAFileHangsOnAComment(): void
    {
        $id = $this->actingAs($this->ondine)->said($this->id('A'), 'See the page.');
        $file = static fn(): array => ['id' => self::newId(), 'holder' => $id, 'file' => UploadedFile::fake()->image('page.png', 20, 20)];
        $this->actingAs($this->ben)->post($this->path($id, '/files'), $file(), ['Accept' => 'application/json'])->assertNotFound();
        $this->actingAs($this->ondine)->post($this->path($id, '/files'), $file(), ['Accept' => 'application/json'])->assertOk();
        self::assertSame('page.png', $this->told($id)['files'][0]['name']);
        $bad = ['file' => UploadedFile::fake()->createWithContent('x.exe', "MZ\0\0")] + $file();
        $this->post($this->path($id, '/files'), $bad, ['Accept' => 'application/json'])->assertUnprocessable();
        $fileId = $this->told($id)['files'][0]['id'];
        $this->get("/plans/{$this->row->id}/attachments/{$fileId}")->assertOk();
    }

    // ---- Suggestions

    public function testAWriterTakesASuggestionAsAnOrdinaryChangeUnderBothNames(): void
    {
        [$a, $block] = $this->noted('A1', 'The minute book tells.');
        $this->actingAs($this->ondine);
        $title = $this->said($a, '', ['proposal' => ['kind' => 'title', 'text' => 'The wall']]);
        $words = $this->said($a, 'It is a ledger.', [
            'words' => ['text' => 'minute book', 'nth' => 0], 'proposal' => ['kind' => 'words', 'text' => 'ledger'],
        ]);
        $move = $this->said($a, '', ['proposal' => ['kind' => 'move', 'at' => ['parent' => $this->id('B'), 'after' => null]]]);
        $this->postJson($this->path($title, '/take'))->assertForbidden();
        $this->actingAs($this->ben);
        $base = $this->row->refresh()->revision;
        $this->postJson($this->path($title, '/take'), ['base' => $base])
            ->assertOk()
            ->assertJsonPath('revision', $base + 1)
            ->assertJsonPath('topics.0.title', 'The wall');
        self::assertSame(['what' => 'taken', 'by' => 'Ben'], array_filter($this->told($title)['outcome']));
        $row = DB::table('operations')->where('plan_id', $this->row->id)->orderByDesc('seq')->first();
        self::assertStringStartsWith('Took what Ondine suggested: ', $row->says);
        self::assertSame($this->ben->id, $row->user_id);
        $this->postJson($this->path($words, '/take'), ['base' => $base + 1])->assertOk();
        self::assertSame('The ledger tells.', $this->plan()->topic($a)->note?->plainText());
        $this->postJson($this->path($move, '/take'), ['base' => $base + 2])->assertOk();
        self::assertSame($this->id('B'), $this->plan(false)->parent($a));
        // Each is taken back by one undo of whoever took it, and answered once.
        $this->step('undo')->assertOk();
        self::assertSame($this->id('A'), $this->plan(false)->parent($a));
        $this->postJson($this->path($move, '/take'), ['base' => 1])->assertUnprocessable();
    }

    public function testASuggestionIsDeclinedWithAWordOrCannotBeTakenAnyMore(): void
    {
        [$a, $block] = $this->noted('A1', 'The minute book tells.');
        $this->actingAs($this->ondine);
        $this->say($a, '', ['proposal' => ['kind' => 'words', 'text' => 'ledger']])->assertUnprocessable();
        $this->say($a, '', ['proposal' => ['kind' => 'colour']])->assertUnprocessable();
        $words = ['words' => ['text' => 'minute book', 'nth' => 0], 'proposal' => ['kind' => 'words', 'text' => 'ledger']];
        $one = $this->said($a, '', $words);
        $two = $this->said($a, '', $words);
        $this->actingAs($this->ben)->postJson($this->path($one, '/decline'), ['why' => 'It is bound.'])->assertOk();
        self::assertSame(['what' => 'declined', 'by' => 'Ben', 'why' => 'It is bound.'], $this->told($one)['outcome']);
        $this->write($a, $block, 'Nobody tells.');
        $this->postJson($this->path($two, '/take'), ['base' => 1])->assertConflict();
        self::assertArrayNotHasKey('outcome', $this->told($two));
        $plain = $this->said($a, 'No suggestion');
        $this->postJson($this->path($plain, '/take'), ['base' => 1])->assertNotFound();
        $this->postJson($this->path($plain, '/decline'))->assertUnprocessable();
    }
}
