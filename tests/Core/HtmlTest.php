<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Intake\Options;
use Embrel\Plan\Plan;
use Embrel\Reader\Format;
use Embrel\Reader\Html\Tag;
use Embrel\RichText\Mark;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;

/** Web pages as people and programs write them. */
final class HtmlTest extends TestCase
{
    private const SHORT = [
        'paragraph' => 'p',
        'bulletList' => 'ul',
        'orderedList' => 'ol',
        'listItem' => 'li',
        'taskList' => 'tasks',
        'taskItem' => 'task',
        'blockquote' => 'quote',
        'codeBlock' => 'code',
        'tableRow' => 'tr',
        'tableCell' => 'td',
        'tableHeader' => 'th',
        'horizontalRule' => 'rule',
        'hardBreak' => 'br',
    ];

    /** A block in short: its type, and in brackets what is in it; text with its marks in front. */
    private static function form(Node $node): string
    {
        if ($node->type === NodeType::Text) {
            return implode('', array_map(static fn(Mark $mark): string => $mark->type->value . ':', $node->marks)) . $node->text;
        }
        $says = implode(
            '',
            array_map(
                static fn(string $attr): string => ' ' . json_encode($node->attrs[$attr]),
                array_values(array_intersect(['start', 'checked', 'caption', 'alt'], array_keys($node->attrs))),
            ),
        );
        $within = implode('|', array_map(self::form(...), $node->content));

        return (self::SHORT[$node->type->value] ?? $node->type->value) . $says . ($within === '' ? '' : "({$within})");
    }

    /** @return iterable<string, array{string, int|null}> an element → the level of the heading that it is */
    public static function headings(): iterable
    {
        yield 'the first' => ['<h1>A</h1>', 1];
        yield 'the sixth' => ['<h6>A</h6>', 6];
        yield 'no seventh' => ['<h7>A</h7>', null];
        yield 'a header' => ['<header>A</header>', null];
        yield 'by its role' => ['<div role="heading" aria-level="3">A</div>', 3];
        yield 'by its role, deep' => ['<div role="heading" aria-level="60">A</div>', 60];
        yield 'deeper than any' => ['<div role="heading" aria-level="61">A</div>', null];
        yield 'by its role, of no level' => ['<div role="heading">A</div>', null];
        yield 'another role' => ['<div role="note" aria-level="2">A</div>', null];
    }

    #[DataProvider('headings')]
    public function testAnElementIsAHeadingByItsNameOrItsRole(string $html, ?int $level): void
    {
        $page = new \DOMDocument();
        @$page->loadHTML("<html><body>{$html}</body></html>");
        $node = $page->getElementsByTagName('body')->item(0)?->firstChild;
        self::assertInstanceOf(\DOMElement::class, $node);
        self::assertSame($level, Tag::level($node, $node->nodeName));
    }

    public function testASignThatLeadsToItsOwnHeadingIsNoneOfItsText(): void
    {
        self::assertTrue(Tag::isPermalink('#wall', ' ¶ '));
        self::assertFalse(Tag::isPermalink('https://example.org', '#'), 'It leads elsewhere.');
        self::assertFalse(Tag::isPermalink('#wall', 'The wall'), 'It says something.');
    }

    /** @return iterable<string, array{string, string}> what stands under a heading → the blocks of its note */
    public static function notes(): iterable
    {
        yield 'lines and marks' => ['<p>one<br>two <b>bold <i>both</i></b></p>', 'p(one|br|two |bold:bold |bold:italic:both)'];
        yield 'loose text and boxes' => [
            'loose text <em>here</em><div>in a box<div>nested</div></div>',
            'p(loose text |italic:here) p(in a box) p(nested)',
        ];
        yield 'lists in lists' => [
            '<ul><li>one<ul><li>deep</li></ul></li><li><p>two</p><p>three</p></li></ul>',
            'ul(li(p(one)|ul(li(p(deep))))|li(p(two)|p(three)))',
        ];
        yield 'a list that starts later, its items never closed' => ['<ol start="4"><li>x<li>y</ol>', 'ol 4(li(p(x))|li(p(y)))'];
        yield 'check boxes' => [
            '<ul><li><input type="checkbox" checked> done</li><li><input type="checkbox"> not</li></ul>',
            'tasks(task true(p(done))|task(p(not)))',
        ];
        yield 'terms' => ['<dl><dt>Term</dt><dd>what it is</dd></dl>', 'p(bold:Term) p(what it is)'];
        yield 'a table with its caption and a wide cell' => [
            '<table><caption>Birds</caption><thead><tr><th>B</th><th>N</th></tr></thead><tr><td colspan="2">wide</td></tr></table>',
            'p(Birds) table(tr(th(p(B))|th(p(N)))|tr(td(p(wide))|td(p)))',
        ];
        yield 'code, a quotation, a rule' => [
            "<pre><code>a  b\n  c</code></pre><blockquote><p>said</p><cite>who</cite></blockquote><hr>",
            "code(a  b\n  c) quote(p(said)|p(italic:who)) rule",
        ];
        yield 'a picture in the page' => [
            '<figure><img src="data:image/png;base64,'
            . base64_encode(Package::png())
            . '" alt="mud"><figcaption>The mud</figcaption></figure>',
            'picture "The mud" "mud"',
        ];
        yield 'links, and one that would run' => [
            '<p><a href="https://example.org/x?a=1&amp;b=2">that</a> and <a href="javascript:alert(1)">this</a></p>',
            'p(link:that| and this)',
        ];
        yield 'small marks' => [
            '<p>H<sub>2</sub>O <mark>m</mark> <u>u</u> <del>d</del> <kbd>k</kbd> <q>quoted</q></p>',
            'p(H|subscript:2|O |highlight:m| |underline:u| |strike:d| |code:k| “quoted”)',
        ];
        yield 'marks by style' => [
            '<p><span style="color:red; font-weight:700">b</span><span style="font-style:italic;text-decoration: underline">i</span><b '
                . 'style="font-weight:normal">plain</b></p>',
            'p(bold:b|italic:underline:i|plain)',
        ];
        yield 'signs' => ['<p>caf&eacute; &#8212; &lt;b&gt;</p>', 'p(café — <b>)'];
        yield 'tags that were never closed' => ['<p>open <b>bold<p>next</b> rest', 'p(open |bold:bold) p(next rest)'];
        yield 'what is no text' => [
            '<video src="x.mp4"></video><svg><text>drawn</text></svg><template>t</template><noscript>n</noscript><select><option>o</option></select><p>kept</p>',
            'p(kept)',
        ];
        yield 'what is hidden' => ['<p hidden>not seen</p><p style="display: none">nor this</p><p>kept</p>', 'p(kept)'];
        yield 'what folds' => ['<details><summary>More</summary><p>inside</p></details>', 'p(More) p(inside)'];
    }

    #[DataProvider('notes')]
    public function testWhatStandsUnderAHeadingIsItsNote(string $html, string $form): void
    {
        $plan = Build::intake(Format::Html, Build::stream("<h1>A</h1>{$html}"))->plan;
        self::assertSame('A', Build::outline($plan));
        self::assertSame(
            $form,
            implode(' ', array_map(self::form(...), array_values($plan->topic(Build::id($plan, 'A'))->note->blocks ?? []))),
        );
    }

    /** @return iterable<string, array{string, string, list<string>}> page → its tree, and the repairs */
    public static function trees(): iterable
    {
        yield 'a level skipped, and a higher one after it' => [
            '<h2>B</h2><h4>D</h4><h1>A</h1>',
            "B\n  D\nA",
            ['A heading skipped a level; it was put right below the one above it.'],
        ];
        yield 'a heading by its role' => ['<div role="heading" aria-level="2">By role</div><p>x</p>', 'By role', []];
        yield 'headings with nothing in them' => ['<h1></h1><h1>  </h1><p>x</p><h1>B</h1>', 'B', []];
        yield 'a link of a heading to itself' => ['<h1>A <a href="#a">¶</a></h1>', 'A', []];
        yield 'what leads around a site' => [
            '<nav><a href="/">Home</a></nav><main><h1>A</h1></main>',
            'A',
            ['What leads around the pages of a site was left out.'],
        ];
        yield 'a contents list' => [
            '<div class="toc"><ul><li><a href="#a">A</a></li></ul></div><h1 id="a">A</h1>',
            'A',
            ['The contents list was left out: the plan makes its own.'],
        ];
        yield 'lines that are set bold' => [
            '<p style="font-weight:bold">Tide</p><p>x</p><p><strong>Wall</strong></p><p>y</p>',
            "Tide\nWall",
            ['2 bold lines that stand alone were taken for headings. If they are none, say so under “Bold lines are headings”.'],
        ];
        yield 'an old encoding that the page names' => ["<meta charset=latin1><h1>caf\xe9</h1>", 'café', []];
        yield 'headings within boxes and cells' => [
            '<section><h1>A</h1><section><h2>B</h2></section></section><table><tr><td><h2>In a cell</h2></td></tr></table>',
            "A\n  B",
            [],
        ];
    }

    /** @param list<string> $repairs */
    #[DataProvider('trees')]
    public function testItsHeadingsAreTheTree(string $html, string $tree, array $repairs): void
    {
        $read = Build::intake(Format::Html, Build::stream($html));
        self::assertSame([$tree, $repairs], [Build::outline($read->plan), $read->repairs]);
    }

    public function testTitleAuthorAndLanguageComeAlong(): void
    {
        $plan = Build::intake(
            Format::Html,
            Build::stream(
                '<html lang="de"><head><title>Das Watt</title><meta name="author" content="Ada '
                    . 'Marsh"></head><body><p>Vorweg</p><h1>Schlick</h1></body></html>',
            ),
        )->plan;
        self::assertSame(
            ['Das Watt', 'Ada Marsh', 'de', 'Vorweg'],
            [$plan->title(), $plan->properties->author, $plan->properties->language, $plan->topic(Plan::ROOT)->note?->plainText()],
        );
    }

    public function testWhatIsCalledAContentsListAndHoldsTextIsText(): void
    {
        $wrapped
            = '<div class="toc"><ul><li><a href="#a">1 A</a></li></ul><h1 id="a">A</h1><p>What it says.</p><h2>B</h2><p>And '
                . 'this.</p></div>';
        self::assertSame("A\n  B", Build::outline(Build::intake(Format::Html, $wrapped)->plan));
        $running = '<nav><p>The marsh stands between the wall and the sea, and every tide leaves a skin of silt on it.</p></nav><h1>A</h1>';
        self::assertSame(
            'The marsh stands between the wall and the sea, and every tide leaves a skin of silt on it.',
            Build::intake(Format::Html, $running)->plan->topic(Plan::ROOT)->note?->plainText(),
        );
    }

    public function testWhatIsLeftOutIsCountedShownAndCanBeTakenIn(): void
    {
        $html
            = '<h1 id="a">A</h1><nav><a href="/next">Next page of the site</a></nav><h1>B</h1><div class="toc"><a href="#a">Only one '
                . 'link</a></div>';
        $read = Build::intake(Format::Html, $html);
        self::assertSame(
            [['what leads around the site', 'A', 5, 'Next page of the site'], ['the contents list', 'B', 3, 'Only one link']],
            array_map(
                static fn(array $left): array => [$left['what'], $left['after'], $left['words'], trim($left['text'])],
                $read->leftOut,
            ),
        );
        $kept = Build::intake(Format::Html, $html, new Options(keepsLeftOut: true));
        self::assertSame(
            [[], [], 'Next page of the site', 'Only one link'],
            [
                $kept->repairs,
                $kept->leftOut,
                $kept->plan->topic(Build::id($kept->plan, 'A'))->note?->plainText(),
                $kept->plan->topic(Build::id($kept->plan, 'B'))->note?->plainText(),
            ],
        );
    }
}
