<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Access;
use App\Companion\EventLines;
use App\Models\Share;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;

/** A helper from outside, over HTTP: nothing goes out that nobody allowed and saw, and whatever comes back is read before it is shown. */
final class CompanionTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->row = $this->start("Harbour\n  The flood of 1953\n    Boats\nMarket");
        $this->note('The flood of 1953', 'The wall broke in six places. Forty people died that night, and the wall was never mended.');
        $this->note('Market', 'Nobody outside the branch is to see this.');
    }

    private function note(string $title, string $text): void
    {
        $block = ['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => $text]]];
        $note = ['type' => 'note', 'topic' => $this->id($title), 'put' => [$block], 'remove' => [], 'order' => null, 'was' => (object) []];
        $this->send($note)->assertOk();
    }

    private function allow(): void
    {
        $this->putJson("/plans/{$this->row->id}/companion", ['allowed' => true])->assertNoContent();
    }

    /**
     * @param list<string> $without
     *
     * @return list<array<string, mixed>> the lines of the answer that say something
     */
    private function ask(string $wish, array $without = [], string $topic = 'Harbour'): array
    {
        $asked = ['topic' => $this->id($topic), 'wish' => $wish];
        $print = $this->postJson("/plans/{$this->row->id}/companion/parcel", $asked)->assertOk()->json('print');
        $answer = $this->postJson("/plans/{$this->row->id}/companion", $asked + ['without' => $without, 'print' => $print])->assertOk();
        $lines = array_map(static fn(string $line): mixed => json_decode($line, true), explode("\n", trim($answer->streamedContent())));

        return array_values(array_filter($lines, static fn(mixed $line): bool => \is_array($line) && $line !== []));
    }

    public function testNothingGoesOutBeforeTheOwnerAllowsIt(): void
    {
        $asked = ['topic' => $this->id('Harbour'), 'wish' => 'questions'];
        $this->postJson("/plans/{$this->row->id}/companion", $asked)->assertConflict();
        self::assertSame(0, DB::table('companion_letters')->count());
        $this->allow();
        $this->getJson("/plans/{$this->row->id}/companion")->assertOk()->assertJsonPath('allowed', true)->assertJsonPath('mayAllow', true);
        $other = $this->account('eve');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $other->id, 'role' => 'writes']);
        $this->actingAs($other);
        $this->putJson("/plans/{$this->row->id}/companion", ['allowed' => false])->assertForbidden();
        $this->getJson("/plans/{$this->row->id}/companion")->assertOk()->assertJsonPath('mayAllow', false);
        Share::query()->where('user_id', $other->id)->update(['role' => 'comments']);
        $this->postJson("/plans/{$this->row->id}/companion", $asked)->assertForbidden();
        $this->postJson("/plans/{$this->row->id}/companion/parcel", $asked)->assertForbidden();
    }

    public function testAnotherOwnerAllowsItAnew(): void
    {
        $this->allow();
        Access::handOn($this->row->refresh(), $this->account('eve'));
        self::assertFalse((bool) $this->row->refresh()->allows_companion);
    }

    public function testWhatWouldGoOutIsShownAndIsAllThatGoesOut(): void
    {
        $this->allow();
        $asked = ['topic' => $this->id('Harbour'), 'wish' => 'summary'];
        $told = $this->postJson("/plans/{$this->row->id}/companion/parcel", $asked)->assertOk();
        self::assertSame(['title', 'branch', $this->id('The flood of 1953')], array_column($told->json('pieces'), 'key'));
        self::assertSame("Harbour\n  - The flood of 1953\n    - Boats", $told->json('pieces.1.text'));
        $this->ask('summary');
        $sent = (string) DB::table('companion_letters')->value('sent');
        self::assertSame(
            $told->json('instruction') . "\n\nTitle: Test plan\n\nOutline:\nHarbour\n  - The flood of 1953\n    - Boats\n\n"
                . 'Note on “The flood of 1953”:' . "\n" . $told->json('pieces.2.text'),
            $sent,
        );
        self::assertStringNotContainsString('Nobody outside', $sent);
        $this->ask('summary', ['title', $this->id('The flood of 1953')]);
        $sent = (string) DB::table('companion_letters')->orderByDesc('id')->value('sent');
        self::assertStringNotContainsString('Test plan', $sent);
        self::assertStringNotContainsString('six places', $sent);
    }

    public function testListsComeAsTopicsAndTextsAsBlocksThatNeverPrint(): void
    {
        $this->allow();
        $lines = $this->ask('questions');
        $last = array_pop($lines);
        self::assertGreaterThan(2, \count($lines), 'It comes in pieces.');
        self::assertNotSame([], $last['topics'] ?? null);
        self::assertStringContainsString('?', $last['topics'][0]['title']);
        $answer = implode('', array_column($lines, 'text'));
        self::assertSame([$answer, ''], array_values((array) DB::table('companion_letters')->first(['answer', 'failed'])));
        $blocks = $this->ask('draft');
        $blocks = array_pop($blocks)['blocks'] ?? [];
        self::assertSame('scaffold', $blocks[0]['content'][0]['marks'][0]['type']);
        $market = $this->id('Market');
        $note = ['type' => 'note', 'topic' => $market, 'put' => $blocks, 'remove' => [], 'order' => null, 'was' => (object) []];
        $this->send(['type' => 'compound', 'from' => 'helper', 'operations' => [$note]])->assertOk()->assertJsonPath('refused', []);
        self::assertStringStartsWith(
            'From the helper: Wrote in the note',
            (string) DB::table('operations')->where('plan_id', $this->row->id)->orderByDesc('seq')->value('says'),
        );
        self::assertSame(8, $this->plan()->topic($market)->words, 'What waits to be rewritten does not count.');
        $this->send(['type' => 'compound', 'from' => 'nobody', 'operations' => [$note]])->assertUnprocessable();
        $letter = (string) DB::table('companion_letters')->orderByDesc('id')->value('id');
        $this->get("/plans/{$this->row->id}/hand-over")->assertDontSee('that a helper was used');
        $this->postJson("/plans/{$this->row->id}/companion/{$letter}/taken")->assertNoContent();
        $this->getJson("/plans/{$this->row->id}/companion")->assertJsonPath('letters.0.taken', true)->assertJsonPath('letters.0.by', 'Ada');
        $this->get("/plans/{$this->row->id}/hand-over")->assertSee('that a helper was used');
        $file = $this->get("/plans/{$this->row->id}/hand-over/file?format=md&helped=1")->assertOk()->streamedContent();
        self::assertStringContainsString('a helper from outside', $file);
    }

    #[TestWith(['refuses', 'refused to answer'])]
    #[TestWith(['wrong', 'not understood'])]
    #[TestWith(['cut', 'broke off'])]
    #[TestWith(['silent', 'says nothing'])]
    #[TestWith(['slow', 'took too long'])]
    #[TestWith(['long', 'longer than can be shown'])]
    public function testWhatGoesWrongIsSaidAndNothingIsKept(string $trouble, string $said): void
    {
        $usual = ['embrel.companion.silence' => 20.0, 'embrel.companion.seconds' => 60.0];
        config(match ($trouble) {
            'silent' => ['embrel.companion.silence' => 0.8] + $usual,
            'slow' => ['embrel.companion.seconds' => 1.0] + $usual,
            default => $usual,
        });
        $this->allow();
        $this->send(['type' => 'retitle', 'topic' => CorePlan::ROOT, 'title' => "(stand-in: {$trouble})"]);
        $revision = $this->row->refresh()->revision;
        $lines = $this->ask('summary');
        self::assertStringContainsString($said, (string) (array_pop($lines)['failed'] ?? ''));
        self::assertStringContainsString($said, (string) DB::table('companion_letters')->value('failed'));
        self::assertSame($revision, $this->row->refresh()->revision);
        // The next one is not held up by it.
        $this->send(['type' => 'retitle', 'topic' => CorePlan::ROOT, 'title' => 'Better']);
        config($usual);
        $lines = $this->ask('summary');
        self::assertArrayHasKey('blocks', array_pop($lines) ?? []);
    }

    public function testAnAnswerIsTextAndNothingElse(): void
    {
        $this->allow();
        $this->send(['type' => 'retitle', 'topic' => CorePlan::ROOT, 'title' => '(stand-in: hostile)']);
        foreach (['ideas', 'draft'] as $wish) {
            $lines = $this->ask($wish);
            $read = json_encode(array_pop($lines), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
            self::assertStringNotContainsString('javascript:', $read);
            self::assertStringNotContainsString('"picture"', $read);
            self::assertStringNotContainsString('"link"', $read);
        }
    }

    public function testAPersonMayAskSoOftenAndOneAtATime(): void
    {
        $this->allow();
        config(['embrel.companion.a_day' => 1]);
        $held = Cache::lock("companion {$this->user->id}", 5);
        self::assertTrue($held->get());
        $lines = $this->ask('questions');
        self::assertStringContainsString('Another answer', (string) ($lines[0]['failed'] ?? ''));
        self::assertSame(0, DB::table('companion_letters')->count());
        $held->release();
        $this->ask('questions');
        $asked = ['topic' => $this->id('Harbour'), 'wish' => 'ideas'];
        $print = $this->postJson("/plans/{$this->row->id}/companion/parcel", $asked)->json('print');
        $this->postJson("/plans/{$this->row->id}/companion", $asked + ['print' => $print])->assertStatus(429);
        // What has changed since it was shown does not go out unseen.
        $this->note('Boats', 'A secret.');
        $this->postJson("/plans/{$this->row->id}/companion", $asked + ['print' => $print])->assertConflict();
        $this->postJson("/plans/{$this->row->id}/companion", $asked)->assertUnprocessable();
        $this->getJson("/plans/{$this->row->id}/companion")->assertJsonPath('left', 0);
        $this->postJson("/plans/{$this->row->id}/companion", ['topic' => $this->id('Harbour'), 'wish' => 'jokes'])->assertUnprocessable();
    }

    /** The form in which such servers answer, whatever the pieces that it comes in are. */
    public function testEventsAreReadAsTheirBytesCome(): void
    {
        $events = ": open\n\nevent: message\r\ndata: {\"choices\":[{\"delta\":{\"role\":\"assistant\"}}]}\n\n"
            . "data: {\"choices\":[{\"delta\":{\"content\":\"Tide\"}}]}\n\ndata: {\"choices\":[{\"delta\":{\"content\":\" é\"},\"finish_reason\":null}]}\n\n"
            . "data: {\"choices\":[],\"usage\":{\"total_tokens\":9}}\n\ndata: [DONE]\n\n";
        foreach ([1, 3, 7, 1_000] as $size) {
            $lines = new EventLines();
            $text = '';
            foreach (str_split($events, $size) as $bytes) {
                $lines->take($bytes);
                $text .= implode('', $lines->pieces());
            }
            self::assertSame(['Tide é', true, false, false], [$text, $lines->isDone, $lines->isWrong, $lines->isRefused]);
        }
        $lines = new EventLines();
        $lines->take("data: {\"choices\":[{\"delta\":{},\"finish_reason\":\"content_filter\"}]}\n");
        self::assertTrue($lines->isRefused);
        self::assertFalse((new EventLines())->take(str_repeat('x', 70_000)));
        self::assertFalse((new EventLines())->take("<html>\n"));
        self::assertFalse((new EventLines())->take("data: {\"choices\":[{\"delta\":{\"content\":{}}}]}\n"));
    }
}
