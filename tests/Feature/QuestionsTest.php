<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;

/** Questions over HTTP: of a topic or of what comes next, each once for each person, and nobody else's business. */
final class QuestionsTest extends TestCase
{
    private function at(string $topic = ''): string
    {
        return "/plans/{$this->row->id}/questions?topic={$topic}";
    }

    private function let(string $topic, string $question): void
    {
        $this->postJson("/plans/{$this->row->id}/questions", ['topic' => $topic, 'question' => $question])->assertNoContent();
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->user);
        $this->row = $this->start("Harbour\n  The flood of 1953\nMarket");
    }

    public function testATopicIsAskedAboutAndEachQuestionOnce(): void
    {
        $topic = $this->id('The flood of 1953');
        $told = $this->getJson($this->at($topic))->assertOk()->assertJsonPath('topic', $topic)->assertJsonPath('asked', 0);
        self::assertSame('1.1 The flood of 1953', $told->json('title'));
        self::assertStringContainsString('1953', $told->json('questions.0.text'));
        self::assertCount(6, $told->json('questions'));
        $first = (string) $told->json('questions.0.id');
        $this->let($topic, $first);
        $this->let($topic, $first);
        $told = $this->getJson($this->at($topic))->assertJsonPath('asked', 1);
        self::assertNotContains($first, array_column($told->json('questions'), 'id'));
        $this->getJson($this->at($this->id('Harbour')))->assertJsonPath('asked', 0);
        $this->deleteJson($this->at($topic))->assertNoContent();
        $this->getJson($this->at($topic))->assertJsonPath('asked', 0)->assertJsonPath('questions.0.id', $first);
    }

    public function testWithoutATopicWhatIsToBeWrittenNextIsAskedAbout(): void
    {
        $told = $this->getJson($this->at())->assertOk();
        self::assertSame($this->id('The flood of 1953'), $told->json('topic'));
    }

    public function testWhatStandsInTheNoteIsNotAskedAgain(): void
    {
        $topic = $this->id('The flood of 1953');
        $question = $this->getJson($this->at($topic))->json('questions.0');
        $block = ['type' => 'question', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => $question['text']]]];
        $note = ['type' => 'note', 'topic' => $topic, 'put' => [$block], 'remove' => [], 'order' => null, 'was' => []];
        $this->postJson("/plans/{$this->row->id}/operations", [
            'base' => 0,
            'operations' => [['id' => self::newId(), 'step' => self::newId()] + $note],
        ])->assertOk()->assertJsonPath('refused', []);
        self::assertNotContains($question['id'], array_column($this->getJson($this->at($topic))->json('questions'), 'id'));
    }

    public function testWhatCannotBeAskedIsRefused(): void
    {
        $this->getJson($this->at('01ARZ3NDEKTSV4RRFFQ69G5FAV'))->assertNotFound();
        $this->getJson($this->at('00000000000000000000000001'))->assertNotFound();
        foreach ([[], ['topic' => 'x', 'question' => 'claim-one'], ['topic' => $this->id('Market'), 'question' => 'no-such']] as $given) {
            $this->postJson("/plans/{$this->row->id}/questions", $given)->assertStatus(422);
        }
    }

    public function testAnotherIsAskedForThemselvesAndAStrangerIsNot(): void
    {
        $topic = $this->id('Market');
        $this->let($topic, 'claim-one');
        $other = User::query()->create(['name' => 'Other', 'email' => 'other@example.org', 'password' => 'a long secret']);
        $this->actingAs($other)->getJson($this->at($topic))->assertNotFound();
        $this->postJson("/plans/{$this->row->id}/questions", ['topic' => $topic, 'question' => 'claim-one'])->assertNotFound();
    }
}
