<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use App\Store\PlanStore;
use Embrel\Plan\Plan;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Core\Build\Build;

/**
 * What is offered beside a plan, over HTTP: what belongs near, terms, main sentences, first drafts; and the index of
 * words that follows the log.
 */
final class PromptsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->user);
        $this->row = $this->start("Harbour\n  The flood of 1953\nMarket");
    }

    private static function idIn(PlanRow $row, string $title): string
    {
        return Build::id(app(PlanStore::class)->load($row), $title);
    }

    private function note(string $topic, string $text, ?PlanRow $row = null, string $type = 'paragraph'): void
    {
        $row ??= $this->row;
        $block = ['type' => $type, 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => $text]]];
        $this->change(
            ['type' => 'note', 'topic' => $topic, 'put' => [$block], 'remove' => [], 'order' => null, 'was' => (object) []],
            $row,
        );
    }

    /** @param array<string, mixed> $operation */
    private function change(array $operation, ?PlanRow $row = null): void
    {
        $row ??= $this->row;
        $this->postJson(
            "/plans/{$row->id}/operations",
            ['base' => 0, 'operations' => [['id' => self::newId(), 'step' => self::newId()] + $operation]],
        )
            ->assertOk()
            ->assertJsonPath('refused', []);
    }

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function near(string $topic, string $marked = '', ?PlanRow $row = null): TestResponse
    {
        return $this->postJson('/plans/' . ($row ?? $this->row)->id . '/near', ['topic' => $topic, 'marked' => $marked]);
    }

    /** @return list<string> */
    private function texts(string $topic, string $marked = ''): array
    {
        return array_column($this->near($topic, $marked)->assertOk()->assertJsonPath('unread', 0)->json('passages'), 'text');
    }

    public function testPassagesOfThisPlanAndOfOthersAreFoundByTheWordsThatTieThem(): void
    {
        $other = $this->start("Storms\n  Great storms");
        $this->note($this->id('Market'), 'Every stall was flooded, and the floods came back in spring.');
        $this->note(self::idIn($other, 'Great storms'), 'In 1953 the flood took the whole quay.', $other);
        $near = $this->near($this->id('The flood of 1953'))->assertOk()->json('passages');
        self::assertSame(
            ['In 1953 the flood took the whole quay.', 'Every stall was flooded, and the floods came back in spring.'],
            array_column($near, 'text'),
        );
        self::assertSame(['1953', 'flood'], $near[0]['ties']);
        self::assertSame([[3, 4], [12, 5]], $near[0]['spots']);
        self::assertSame($other->id, $near[0]['plan']['id']);
        self::assertNull($near[1]['plan']);
        self::assertSame('2 Market', $near[1]['called']);
    }

    public function testAMarkedPassageIsAskedAboutByItself(): void
    {
        $this->note($this->id('Market'), 'Every stall was flooded by noon.');
        $this->note($this->id('Harbour'), 'Boats were mended on the quay, and stalls stood there too, flooded twice.');
        self::assertSame(['Boats were mended on the quay, and stalls stood there too, flooded twice.'], $this->texts($this->id('Market')));
        self::assertSame([], $this->texts($this->id('Market'), 'Nothing of this'));
        self::assertSame(['Every stall was flooded by noon.', 'The flood of 1953'], $this->texts($this->id('Harbour'), 'a flooded stall'));
    }

    /** What was changed, taken away, brought back or taken back is found as it is now, and nothing of it twice. */
    public function testTheIndexFollowsTheLog(): void
    {
        $flood = $this->id('The flood of 1953');
        $market = $this->id('Market');
        $this->note($market, 'A flood in the market hall.');
        self::assertSame(['A flood in the market hall.'], $this->texts($flood));
        $this->change(['type' => 'remove', 'ids' => [$market]]);
        self::assertSame([], $this->texts($flood));
        $this->postJson("/plans/{$this->row->id}/undo", ['base' => 0])->assertOk();
        self::assertSame(['A flood in the market hall.'], $this->texts($flood));
        $this->change(['type' => 'retitle', 'topic' => $market, 'title' => 'Floods of the market']);
        self::assertEqualsCanonicalizing(['A flood in the market hall.', 'Floods of the market'], $this->texts($flood));
        $this->change(['type' => 'source', 'sources' => [['id' => self::newId(), 'title' => 'The Great Flood', 'remark' => 'On 1953.']]]);
        self::assertContains("The Great Flood\nOn 1953.", $this->texts($flood));
        $before = DB::table('passage_words')->orderBy('plan')->orderBy('word')->orderBy('passage')->get()->count();
        self::assertNotSame([], $this->texts($flood));
        self::assertSame($before, DB::table('passage_words')->count(), 'Asking again changes nothing.');
        $state = DB::table('passage_plans')->where('plan_id', $this->row->id)->first();
        self::assertSame((int) $state?->passages, DB::table('passages')->where('plan', $state?->number)->count());
        self::assertSame((int) $state?->words, (int) DB::table('passages')->where('plan', $state?->number)->sum('words'));
        // As if it were read for the first time.
        $kept = $this->near($flood)->json();
        DB::table('passage_plans')->delete();
        self::assertSame($kept, $this->near($flood)->json());
        // In another language the words have other stems: all is read anew.
        $this->change(['type' => 'plan', 'set' => ['language' => 'de']]);
        self::assertContains("The Great Flood\nOn 1953.", $this->texts($flood));
    }

    public function testAQuotationOfAnotherPlanBringsWhatItCites(): void
    {
        $other = $this->start("Storms\n  Great storms");
        $source = self::newId();
        $this->change(['type' => 'source', 'sources' => [['id' => $source, 'title' => 'Tide Tables']]], $other);
        $cite = ['type' => 'citation', 'attrs' => ['items' => [['source' => $source, 'pages' => '7']]]];
        $block = [
            'type' => 'paragraph',
            'attrs' => ['id' => self::newId()],
            'content' => [['type' => 'text', 'text' => 'The flood of 1953 came at night '], $cite],
        ];
        $topic = self::idIn($other, 'Great storms');
        $this->change(
            ['type' => 'note', 'topic' => $topic, 'put' => [$block], 'remove' => [], 'order' => null, 'was' => (object) []],
            $other,
        );
        $near = $this->near($this->id('The flood of 1953'))->json('passages.0');
        self::assertSame([['source' => $source, 'pages' => '7']], $near['cites']);
        self::assertSame('Tide Tables', $near['sources'][0]['title']);
    }

    public function testPlansThatOneMayNotReadAreNotLookedThrough(): void
    {
        $stranger = $this->account('eve');
        $this->note($this->id('Market'), 'The flood of 1953 was kept quiet.');
        $this->actingAs($stranger);
        $theirs = $this->start("A flood\n  1953", $stranger);
        self::assertSame([], $this->near(self::idIn($theirs, 'A flood'), '', $theirs)->assertOk()->json('passages'));
        $this->near($this->id('Market'))->assertNotFound();
    }

    public function testPagesThatWereKeptAreRead(): void
    {
        $source = self::newId();
        $this->change(['type' => 'source', 'sources' => [['id' => $source, 'title' => 'A page']]]);
        $file = UploadedFile::fake()->createWithContent('page.txt', "Ways in.\n\nThe flood of 1953 stood in the nave for a week.");
        $this->post(
            "/plans/{$this->row->id}/attachments",
            ['holder' => $source, 'id' => self::newId(), 'file' => $file],
            ['Accept' => 'application/json'],
        )->assertSuccessful();
        $near = $this->near($this->id('The flood of 1953'))->assertOk()->json('passages');
        self::assertSame('The flood of 1953 stood in the nave for a week.', $near[0]['text']);
        self::assertSame('page', $near[0]['kind']);
        self::assertSame([['source' => $source]], $near[0]['cites']);
        $attachment = (string) DB::table('attachments')->where('plan_id', $this->row->id)->value('id');
        $this->delete("/plans/{$this->row->id}/attachments/{$attachment}")->assertSuccessful();
        self::assertSame([], $this->texts($this->id('The flood of 1953')));
    }

    public function testWhatIsThereTwiceIsTold(): void
    {
        $row = $this->start("Costs of the wall\nThe wall’s costs\nBirds");
        $this->getJson("/plans/{$row->id}/alike")->assertOk()
            ->assertJsonPath('titles.0.0.1', '1 Costs of the wall')
            ->assertJsonPath('titles.0.1.1', '2 The wall’s costs')
            ->assertJsonPath('texts', []);
        $words = 'Samphire, purslane, aster, lavender and cord grass were counted at every tenth post along the five lines of the survey';
        $this->note(self::idIn($row, 'Costs of the wall'), "{$words} in March.", $row);
        $this->note(self::idIn($row, 'Birds'), "In September {$words}.", $row);
        $this->getJson("/plans/{$row->id}/alike")->assertOk()->assertJsonPath(
            'texts.0.0.1',
            '1 Costs of the wall',
        )->assertJsonPath('texts.0.1.1', '3 Birds');
    }

    public function testTermsOfABranchAreToldWithWhereTheyStandFirst(): void
    {
        $this->note($this->id('The flood of 1953'), 'The sea wall broke. A sea wall of clay cannot stand.');
        $this->note($this->id('Market'), 'Stalls, stalls and more stalls.');
        $told = $this->getJson("/plans/{$this->row->id}/terms?topic={$this->id('Harbour')}")->assertOk();
        self::assertSame(['sea wall'], array_column($told->json('terms'), 'words'));
        $told->assertJsonPath('terms.0.times', 2)->assertJsonPath('terms.0.first.1', '1.1 The flood of 1953');
        self::assertContains(
            'stalls',
            array_map(mb_strtolower(...), array_column($this->getJson("/plans/{$this->row->id}/terms")->json('terms'), 'words')),
        );
    }

    public function testABranchIsToldInItsMainSentences(): void
    {
        $this->note(
            $this->id('The flood of 1953'),
            'The wall leaks and the wall costs money every year. A heron stood on the roof of the old school that day.',
        );
        $this->getJson("/plans/{$this->row->id}/shorter?topic={$this->id('Harbour')}&words=20")->assertOk()
            ->assertJsonPath('of', 22)
            ->assertJsonPath('words', 10)
            ->assertJsonPath('sentences.0.text', 'The wall leaks and the wall costs money every year.')
            ->assertJsonPath('sentences.0.from.1', '1.1 The flood of 1953');
    }

    public function testASectionHasAFirstDraft(): void
    {
        $this->note($this->id('The flood of 1953'), 'The wall broke in six places.');
        $told = $this->getJson("/plans/{$this->row->id}/first-draft")->assertOk();
        $told->assertJsonPath('sections.0.1', '1 Harbour')->assertJsonPath('sections.1.1', '2 Market')->assertJsonPath('hasOwn', true);
        $told->assertJsonPath(
            'paragraphs.1.1.text',
            'The wall broke in six places.',
        )->assertJsonPath('paragraphs.1.1.from.1', '1.1 The flood of 1953');
        self::assertSame([$this->id('The flood of 1953')], $told->json('used'));
        $harbour = $this->id('Harbour');
        $this->change(
            ['type' => 'note', 'topic' => $harbour, 'put' => $told->json('blocks'), 'remove' => [], 'order' => null, 'was' => (object) []],
        );
        self::assertSame(
            6,
            (int) DB::table('topics')->where('plan_id', $this->row->id)->where('id', $harbour)->value('words'),
            'Scaffolding does not count.',
        );
        $this->getJson(
            "/plans/{$this->row->id}/first-draft?section={$this->id('Market')}",
        )->assertJsonPath('section.1', '2 Market')->assertJsonPath('hasOwn', false);
    }

    public function testWhatAFirstDraftRefersToIsShownInWords(): void
    {
        $this->change([
            'type' => 'note',
            'topic' => $this->id('The flood of 1953'),
            'put' => [['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [
                ['type' => 'text', 'text' => 'As is said in '],
                ['type' => 'topicRef', 'attrs' => ['topic' => $this->id('Market')]],
                ['type' => 'text', 'text' => '.'],
            ]]],
            'remove' => [],
            'order' => null,
            'was' => (object) [],
        ]);
        $this->getJson("/plans/{$this->row->id}/first-draft")->assertOk()
            ->assertJsonPath('paragraphs.1.1.text', 'As is said in 2 Market.');
    }

    public function testAPersonWithFiveHundredPlansIsAnswered(): void
    {
        $this->note($this->id('The flood of 1953'), 'The herons came back to the weir.');
        for ($i = 1; $i < 500; ++$i) {
            $this->start($i === 1 ? 'Herons at the weir' : "Plan {$i}");
        }
        $left = 500;
        do {
            $told = $this->postJson("/plans/{$this->row->id}/near", ['topic' => $this->id('The flood of 1953')])->assertOk()->json();
            self::assertLessThan($left, $told['unread'], 'Each time one asks some more are read.');
            $left = $told['unread'];
        } while ($left > 0);
        self::assertContains('Herons at the weir', array_column($told['passages'], 'text'));
    }

    public function testAnEmptyPlanOffersNothingAndFailsNowhere(): void
    {
        $row = app(PlanStore::class)->create($this->user, Plan::titled('Empty'));
        foreach (['alike', 'terms', 'shorter', 'first-draft'] as $what) {
            $this->getJson("/plans/{$row->id}/{$what}")->assertOk();
        }
        self::assertSame([], $this->near('00000000000000000000000000', '', $row)->assertOk()->json('passages'));
        $this->near('00000000000000000000000001')->assertNotFound();
        $this->near('nonsense')->assertUnprocessable();
    }
}
