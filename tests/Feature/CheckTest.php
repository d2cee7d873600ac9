<?php

declare(strict_types=1);

namespace Tests\Feature;

use Embrel\Check\Text\Reading;
use Embrel\RichText\Node;
use Illuminate\Support\Facades\DB;

/** What a page is told of the checks of its plan, and what it can do about them. */
final class CheckTest extends TestCase
{
    public function testFindingsAreToldWithoutReadingNotes(): void
    {
        $this->write('A1', 'The  mud.');
        DB::enableQueryLog();
        $told = $this->getJson("/plans/{$this->row->id}/findings")->assertOk();
        $asked = implode("\n", array_column(DB::getQueryLog(), 'query'));
        self::assertStringContainsString('`reading`', $asked);
        self::assertStringNotContainsString('`body` from `notes`', $asked);
        self::assertSame(\count($told->json('groups')), \count(array_unique(array_column($told->json('groups'), 'rule'))));
        self::assertSame('empty-last', $told->json('groups.0.rule'));
        self::assertSame($this->id('C'), $told->json('groups.0.findings.0.topic'));
        self::assertContains('two-spaces', array_column($told->json('groups'), 'rule'));
        self::assertSame(['A', 'B', 'C'], array_column($told->json('balance.sections'), 'title'));
        self::assertSame($told->json('count'), array_sum(array_column($told->json('groups'), 'count')));
    }

    public function testWhatWasReadByOtherRulesIsReadAnewAndKept(): void
    {
        $this->write('A1', 'The  mud.');
        $first = $this->getJson("/plans/{$this->row->id}/findings")->json('groups');
        foreach ([null, '{"v": 0}', 'no JSON'] as $kept) {
            DB::table('notes')->update(['reading' => $kept]);
            self::assertSame($first, $this->getJson("/plans/{$this->row->id}/findings")->json('groups'));
            self::assertSame(Reading::VERSION, json_decode((string) DB::table('notes')->value('reading'), true)['v']);
        }
        $this->send(['type' => 'plan', 'set' => ['language' => 'de']]);
        self::assertSame($first, $this->getJson("/plans/{$this->row->id}/findings")->json('groups'));
        self::assertSame('de', json_decode((string) DB::table('notes')->value('reading'), true)['language']);
    }

    public function testMendingIsOneStepThatUndoTakesBack(): void
    {
        $this->write('A1', 'The  mud  is deep.');
        $this->write('B1', 'Two  spaces.');
        $base = $this->row->refresh()->revision;
        $answer = $this->postJson("/plans/{$this->row->id}/findings/mend", ['base' => $base, 'rule' => 'two-spaces'])->assertOk();
        self::assertSame(3, $answer->json('mended'));
        self::assertSame('The mud is deep.', $this->plan()->topic($this->id('A1'))->note?->plainText());
        self::assertSame('Mended 3 places with two spaces', $answer->json('steps.undo'));
        $this->step('undo')->assertOk();
        self::assertSame('The  mud  is deep.', $this->plan()->topic($this->id('A1'))->note?->plainText());
        $one = $this->groupsOf('two-spaces')[0]['findings'][2]['key'];
        $this->postJson("/plans/{$this->row->id}/findings/mend", ['base' => 0, 'rule' => 'two-spaces', 'findings' => [$one]])->assertOk();
        self::assertSame('Two spaces.', $this->plan()->topic($this->id('B1'))->note?->plainText());
        $this->postJson("/plans/{$this->row->id}/findings/mend", ['base' => 0, 'rule' => 'two-spaces', 'findings' => [$one]])
            ->assertStatus(409)
            ->assertJsonPath('message', 'This is no longer as it was found; nothing was changed.');
    }

    public function testWhatCannotBeMendedOrIsNoRuleIsRefused(): void
    {
        foreach (['empty-section', 'no-such-rule', ['two-spaces'], null] as $rule) {
            $this->postJson("/plans/{$this->row->id}/findings/mend", ['base' => 0, 'rule' => $rule])->assertStatus(422);
        }
        foreach (['all', null, [1, 2], array_fill(0, 501, 'x')] as $findings) {
            $body = ['base' => 0, 'rule' => 'two-spaces', 'findings' => $findings];
            $this->postJson("/plans/{$this->row->id}/findings/mend", $body)->assertStatus(422);
        }
    }

    public function testRulesAndFindingsAreSetAsideForThePlanAndComeBack(): void
    {
        $this->write('A1', 'Mud.');
        $empty = fn(): array => $this->groupsOf('empty-section');
        $key = $empty()[0]['findings'][0]['key'];
        $this->send(['type' => 'set-aside', 'finding' => $key, 'why' => 'A drawing'])->assertOk()->assertJsonPath('refused', []);
        $told = $this->getJson("/plans/{$this->row->id}/findings");
        self::assertSame([['A drawing', $key]], array_map(static fn(array $one): array => [$one['why'], $one['key']], $told->json('setAside')));
        self::assertNotContains($key, array_column($empty()[0]['findings'] ?? [], 'key'));
        $this->step('undo')->assertOk();
        self::assertSame($key, $empty()[0]['findings'][0]['key']);
        $this->send(['type' => 'rule', 'rule' => 'empty-section', 'on' => false])->assertJsonPath('refused', []);
        self::assertSame([], $empty());
        $rules = collect($this->getJson("/plans/{$this->row->id}/rules")->assertOk()->json('rules'));
        self::assertFalse($rules->firstWhere('code', 'empty-section')['on']);
        self::assertTrue($rules->firstWhere('code', 'same-title')['on']);
        $this->send(['type' => 'set-aside', 'finding' => '<b>', 'why' => ''])->assertStatus(422);
        $this->send(['type' => 'rule', 'rule' => 'A B', 'on' => false])->assertStatus(422);
        $this->send(['type' => 'rule', 'rule' => 'x'])->assertStatus(422);
        $this->send(['type' => 'set-aside', 'finding' => $key, 'why' => str_repeat('x', 301)])->assertStatus(422);
    }

    public function testTenThousandFindingsAreCountedAndTheFirstOfThemTold(): void
    {
        $this->row = $this->start(implode("\n", array_map(static fn(int $i): string => "Section  {$i}", range(1, 10_000))));
        $told = $this->getJson("/plans/{$this->row->id}/findings")->assertOk();
        $spaces = array_column($told->json('groups'), null, 'rule')['two-spaces'];
        self::assertSame([10_000, 200], [$spaces['count'], \count($spaces['findings'])]);
    }

    public function testHandOverSaysWhatIsSeriousAndHindersNothing(): void
    {
        $this->write('A1', 'Mud.');
        $this->get("/plans/{$this->row->id}/hand-over")->assertOk()->assertSee('serious findings');
        $this->get("/plans/{$this->row->id}/hand-over/file?format=txt")->assertOk();
        foreach ($this->plan(false)->standing() as $id) {
            $this->write($this->plan(false)->topic($id)->title, 'Mud is deep.');
        }
        $this->get("/plans/{$this->row->id}/hand-over")->assertOk()->assertDontSee('serious finding');
    }

    /** @return list<array<string, mixed>> */
    private function groupsOf(string $rule): array
    {
        $groups = $this->getJson("/plans/{$this->row->id}/findings")->json('groups');

        return array_values(array_filter($groups, static fn(array $group): bool => $group['rule'] === $rule));
    }

    private function write(string $title, string $text): void
    {
        $block = self::newId();
        $put = [Node::plain($text, $block)->toArray()];
        $this->send(['type' => 'note', 'topic' => $this->id($title), 'put' => $put, 'remove' => [], 'order' => [$block]])
            ->assertOk()
            ->assertJsonPath('refused', []);
    }
}
