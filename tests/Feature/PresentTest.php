<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Share;
use App\Models\Showing;
use App\Store\PlanPictures;
use Embrel\Draft\ShowChoices;
use Embrel\Plan\Plan as CorePlan;
use Tests\Core\Build\Package;

/** A plan before an audience: what is chosen stays, and screens on other machines see what is shown and nothing else. */
final class PresentTest extends TestCase
{
    private const USUAL = [
        'levels' => 2,
        'label' => '',
        'without' => [],
        'whole' => [],
        'one_by_one' => true,
        'spoken' => false,
        'seconds' => 30,
        'minutes' => 0,
    ];

    private function present(string $more = ''): string
    {
        return "/plans/{$this->row->id}/present{$more}";
    }

    /** @return string the path at which a screen follows */
    private function followed(): string
    {
        return (string) parse_url((string) $this->postJson($this->present('/link'))->assertOk()->json('address'), PHP_URL_PATH);
    }

    public function testWhatIsChosenStaysWithThePersonAndThePlan(): void
    {
        $told = $this->putJson($this->present(), ['levels' => 1, 'whole' => [$this->id('A')], 'without' => [$this->id('B')]] + self::USUAL)
            ->assertOk();
        self::assertSame(['', 'A', 'C'], array_map(
            static fn(string $title): string => $title === $told->json('title') ? '' : $title,
            array_column($told->json('steps'), 'title'),
        ));
        self::assertSame($told->json('steps'), $this->getJson($this->present('/deck'))->json('steps'));
        $this->get($this->present())->assertOk()->assertSee('left out');
        $jory = $this->account('jory');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $jory->id, 'role' => 'reads']);
        self::assertSame((new ShowChoices())->toArray(), $this->actingAs($jory)->getJson($this->present('/deck'))->json('choices'));
    }

    public function testWhatIsLeftOutIsOnNoMapEither(): void
    {
        $this->putJson($this->present(), ['without' => [$this->id('A')]] + self::USUAL)->assertOk();
        $link = $this->followed();
        foreach ([$this->present('/map'), "{$link}/map"] as $address) {
            $sections = $this->getJson($address)->assertOk()->json('sections');
            $titles = array_map(static fn(array $section): string => implode(' ', $section['topics'][0][11]), $sections);
            self::assertSame(['B', 'C'], $titles);
            self::assertSame('2', $sections[0]['topics'][0][10], 'The rest keeps its numbers.');
        }
    }

    public function testWhatDoesNotFitIsRefused(): void
    {
        foreach (
            [['levels' => 0], ['levels' => 'x'], ['without' => 'x'], ['without' => ['x']], ['seconds' => 1], ['minutes' => 9999]] as $wrong
        ) {
            $this->putJson($this->present(), $wrong + self::USUAL)->assertStatus(422);
        }
        $this->putJson($this->present('/at'), ['at' => -1, 'stop' => 0, 'dark' => false, 'map' => false])->assertStatus(422);
    }

    public function testAScreenOnAnotherMachineFollowsWithoutAnAccountAndSeesNoNotes(): void
    {
        $topic = ['type' => 'note', 'topic' => $this->id('A'), 'remove' => [], 'order' => null, 'was' => []];
        $block = self::newId();
        $words = [['type' => 'text', 'text' => 'Said, not shown']];
        $this->send(['put' => [['type' => 'paragraph', 'attrs' => ['id' => $block], 'content' => $words]]] + $topic)->assertOk();
        $this->get($this->present('/speaker'))->assertOk()->assertSee('Said, not shown');
        $path = $this->followed();
        $this->putJson($this->present('/at'), ['at' => 2, 'stop' => 1, 'dark' => false, 'map' => true])
            ->assertOk()
            ->assertJson(['followed' => true]);
        auth()->logout();
        $this->get($path)
            ->assertOk()
            ->assertHeader('X-Robots-Tag', 'noindex, nofollow, noarchive')
            ->assertSee('A1')
            ->assertDontSee('Said, not shown');
        $this->getJson("{$path}/deck")->assertOk()->assertDontSee('Said, not shown');
        $at = $this->getJson("{$path}/at")->assertOk()->assertJson(['at' => 2, 'stop' => 1, 'dark' => false, 'map' => true]);
        self::assertSame($this->getJson("{$path}/deck")->json('print'), $at->json('print'));
        self::assertNotEmpty($this->getJson("{$path}/map")->assertOk()->json('sections'));
        self::assertSame([hash('sha256', basename($path))], Showing::query()->pluck('token')->all());
    }

    public function testTheStepsOfAScreenBecomeOthersWithThoseOfThePlan(): void
    {
        $path = $this->followed();
        $before = $this->getJson("{$path}/at")->json('print');
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Anew'])->assertOk();
        self::assertNotSame($before, $now = $this->getJson("{$path}/at")->json('print'));
        $this->putJson($this->present(), ['levels' => 1] + self::USUAL)->assertOk();
        self::assertNotSame($now, $this->getJson("{$path}/at")->json('print'));
    }

    public function testALinkEndsByANewOneByHandByItselfAndWithTheRightOfWhoMadeIt(): void
    {
        $old = $this->followed();
        $new = $this->followed();
        $this->getJson("{$old}/at")->assertNotFound();
        $this->getJson("{$new}/at")->assertOk();
        $this->deleteJson($this->present('/link'))->assertNoContent();
        $this->getJson("{$new}/at")->assertNotFound();
        $this->putJson($this->present('/at'), ['at' => 1, 'stop' => 0, 'dark' => false, 'map' => false])->assertJson(['followed' => false]);

        $later = $this->followed();
        $this->travel(13)->hours();
        $this->getJson("{$later}/at")->assertNotFound();
        $this->travelBack();

        $jory = $this->account('jory');
        $share = Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $jory->id, 'role' => 'reads']);
        $path = (string) parse_url((string) $this->actingAs($jory)->postJson($this->present('/link'))->json('address'), PHP_URL_PATH);
        $this->getJson("{$path}/at")->assertOk();
        $share->delete();
        foreach (['', '/at', '/deck', '/map'] as $more) {
            $this->getJson("{$path}{$more}")->assertNotFound();
        }
    }

    public function testAScreenGetsThePicturesThatAreShownAndNoOthers(): void
    {
        $pictures = new PlanPictures($this->row->id);
        $bytes = [Package::png(80, 60), Package::png(90, 60)];
        array_walk($bytes, $pictures->keep(...));
        [$shown, $kept] = array_map(static fn(string $one): string => hash('sha256', $one), $bytes);
        $this->send(['type' => 'picture', 'ids' => [$this->id('A')], 'value' => "{$shown}:80x60@80"])->assertOk();
        $path = $this->followed();
        $this->get("{$path}/pictures/{$shown}")->assertOk()->assertHeader('Content-Type', 'image/png');
        $this->get("{$path}/pictures/{$kept}")->assertNotFound();
    }

    public function testNothingOfLooseIdeasAndAsidesIsTold(): void
    {
        $this->send(
            [
                'type' => 'add',
                'at' => ['parent' => CorePlan::TRAY, 'after' => null],
                'topics' => [['id' => self::newId(), 'title' => 'A loose one']],
            ],
            ['type' => 'kind', 'ids' => [$this->id('B')], 'value' => 'aside'],
        )->assertOk();
        $path = $this->followed();
        foreach (['', '/deck', '/map'] as $more) {
            $this->get("{$path}{$more}")->assertOk()->assertDontSee('A loose one')->assertDontSee('"B"', false)->assertDontSee('B1');
        }
    }
}
