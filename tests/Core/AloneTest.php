<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\Printing;
use Embrel\Draft\ShowChoices;
use Embrel\Fonts\PackagedFonts;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Plan\Shown;
use Embrel\Plan\Topic;
use Embrel\Writer\Html\AloneWriter;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** The page that stands alone: what is in it, and that nothing gets out of where it stands. */
final class AloneTest extends TestCase
{
    /** Beside its contents, in bytes. */
    private const MOST = 250_000;

    private static function page(Plan $plan, Choices $choices = new Choices()): string
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException();
        (new AloneWriter(PackagedFonts::ofPackages()))->write($plan, $choices, $out, '');
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** @return array<array-key, mixed> */
    private static function data(string $page): array
    {
        preg_match('~<script type="application/json" id="alone-data">(.*?)</script>~s', $page, $m);
        $data = json_decode($m[1] ?? '', true, 512, JSON_THROW_ON_ERROR);

        return \is_array($data) ? $data : [];
    }

    public function testWhatCarriesAPlanIsSmall(): void
    {
        self::assertLessThan(self::MOST, \strlen(self::page(Plan::titled('Empty'))));
    }

    public function testItsPolicyLetsItsOwnScriptRunAndNothingElse(): void
    {
        $page = self::page(Build::plan('Clay'));
        preg_match('~http-equiv="Content-Security-Policy" content="([^"]+)"~', $page, $policy);
        self::assertStringStartsWith("default-src 'none'; script-src 'sha256-", $policy[1] ?? '');
        preg_match_all('~<(script|style)(?: type="application/json"[^>]*)?>(.*?)</\1>~s', $page, $held, PREG_SET_ORDER);
        foreach ($held as [$all, , $text]) {
            if (!str_contains($all, 'application/json')) {
                self::assertStringContainsString(base64_encode(hash('sha256', $text, true)), $policy[1]);
            }
        }
        self::assertDoesNotMatchRegularExpression('~(?:src|href)="(?!data:|#)~', $page);
    }

    public function testAShowThatPlaysHoldsNothingOfWhatIsLeftOut(): void
    {
        $plan = Build::plan("Marsh\n  Secret part\nWall\n  Clay");
        $choices = new Choices(show: new ShowChoices(without: [Build::id($plan, 'Marsh')]));
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException();
        (new AloneWriter(PackagedFonts::ofPackages(), true))->write($plan, $choices, $out, '');
        rewind($out);
        $page = (string) stream_get_contents($out);
        self::assertStringNotContainsString('Secret part', $page);
        self::assertMatchesRegularExpression('~<span class="n">2</span><span class="t" dir="auto">Wall</span>~', $page);
        self::assertSame(['Test plan', 'Wall', 'Clay'], array_column(self::data($page)['deck']['steps'], 'title'));
        self::assertStringContainsString('Secret part', self::page($plan, $choices), 'The page that is read has the whole.');
    }

    public function testOnlyManyRowsWaitUntilAllHaveCome(): void
    {
        $coming = '<script>document.documentElement.className="is-coming"</script>';
        self::assertStringNotContainsString($coming, self::page(Build::plan("A\nB")));
        $page = self::page(Build::plan(implode("\n", range(1, 600))));
        self::assertStringContainsString("{$coming}</head>", $page);
        preg_match('~http-equiv="Content-Security-Policy" content="([^"]+)"~', $page, $policy);
        self::assertStringContainsString(base64_encode(hash('sha256', substr($coming, 8, -9), true)), $policy[1] ?? '');
        $behind = substr($page, (int) strrpos($page, 'role="treeitem"'));
        self::assertMatchesRegularExpression('/classList\.remove\(.is-coming.\)/', $behind);
    }

    public function testEveryTopicOfAnyTreeStandsInItOnce(): void
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            $pictures = new Shelved([Package::png(80, 60)]);
            $plan = Notes::on(Trees::random($seed, 40), $seed, $pictures->ids());
            $shown = \array_slice(Shown::of($plan)->branch(Plan::ROOT), 1);
            $page = self::page($plan, new Choices(pictures: $pictures));
            preg_match_all('/<li role="treeitem" id="t([0-9A-Z]{26})"/', $page, $m);
            self::assertSame($shown, array_values(array_diff($m[1], [Plan::ROOT])), "Tree {$seed}.");
            foreach (self::data($page)['maps'] as $map) {
                $topics = array_merge([], ...array_column($map['sections'], 'topics'));
                self::assertSame($shown, array_column($topics, 0), "Tree {$seed}.");
            }
            preg_match_all('/ id="([^"]+)"/', $page, $ids);
            self::assertSame($ids[1], array_values(array_unique($ids[1])), "Tree {$seed}.");
        }
    }

    public function testWhatIsTypedStaysText(): void
    {
        $evil = '</script><script>alert(1)</script><!-- "\'';
        $plan = Build::plan('A');
        $id = Build::id($plan, 'A');
        $page = self::page($plan->with($plan->topic($id)->withTitle($evil))->with($plan->topic(Plan::ROOT)->withTitle($evil)));
        self::assertStringNotContainsString('<script>alert', $page);
        self::assertSame($evil, self::data($page)['deck']['title']);
        $dom = new \DOMDocument();
        @$dom->loadHTML($page);
        self::assertSame(2, $dom->getElementsByTagName('script')->length);
    }

    public function testAPictureStandsInItOnceAndIsFoundByTheTopicThatShowsIt(): void
    {
        $plan = Build::plan("A\n  B");
        $bytes = Package::png(90, 60);
        $picture = Picture::of(hash('sha256', $bytes) . ':90x60@90');
        $plan = $plan->with($plan->topic(Build::id($plan, 'B'))->with(['picture' => $picture]));
        $page = self::page($plan, new Choices(pictures: new Shelved([$bytes])));
        self::assertSame(1, substr_count($page, base64_encode($bytes)));
        self::assertSame([Build::id($plan, 'B'), 0], self::data($page)['pictures'][$picture->id]);
        // One that is gone is left out.
        self::assertStringNotContainsString('<img', self::page($plan, new Choices(pictures: new Shelved([]))));
    }

    public function testLooseIdeasNeverAndAsidesOnlyWhenChosenAreInIt(): void
    {
        $plan = Build::plan("A\nB");
        $plan = $plan->with($plan->topic(Build::id($plan, 'B'))->with(['kind' => Kind::Aside]));
        self::assertStringNotContainsString('<span class="t" dir="auto">B</span>', self::page($plan));
        $with = new Choices(draft: new DraftChoices(prints: ['aside' => Printing::Text]));
        self::assertStringContainsString('<span class="t" dir="auto">B</span>', self::page($plan, $with));
        $edit = new Edit($plan);
        $edit->append(new Topic(Build::ulid(77), 'Loose one'), Plan::TRAY);
        self::assertStringNotContainsString('Loose one', self::page($edit->done()));
    }

    public function testABranchStandsAlone(): void
    {
        $plan = Build::plan("A\n  B\n    C\nD");
        $page = self::page($plan, new Choices(from: Build::id($plan, 'A')));
        self::assertStringContainsString('<title>A</title>', $page);
        preg_match_all('/<span class="t" dir="auto">([^<]+)</', $page, $m);
        self::assertSame(['B', 'C'], $m[1]);
    }
}
