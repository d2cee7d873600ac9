<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Operation\MoveTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\Format as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;

/** Links within a document that is taken in: they lead to topics, wherever these are moved, and nowhere else. */
final class LinksTest extends TestCase
{
    private const LINK = '<w:hyperlink w:anchor="%s"><w:r><w:t>%s</w:t></w:r></w:hyperlink>';

    /**
     * @return iterable<string, array{Reading, string}> the same document: “Mud” refers to Wall by its title, to text under Storms by other words, and to a place that is not there
     */
    public static function documents(): iterable
    {
        yield 'HTML' => [
            Reading::Html,
            '<h1>Mud</h1><p>See <a href="#w">Wall</a>, <a href="#night">that night</a> and <a href="#gone">nothing</a>.</p><h1 '
                . 'id="w">Wall</h1><p>x</p><h1>Storms</h1><p>One came <span id="night">at night</span>.</p>',
        ];
        yield 'Markdown, with names of its own' => [
            Reading::Markdown,
            "# Mud\n\nSee [Wall](#w), [that night](#night) and [nothing](#gone).\n\n<a id=\"w\"></a>\n\n# Wall\n\nx\n\n# Storms\n\nOne came <span id=\"night\">at night</span>.\n",
        ];
        yield 'Markdown' => [
            Reading::Markdown,
            "# Mud\n\nSee [Wall](#wall), [that night](#night) and [nothing](#gone).\n\n# Wall\n\nx\n\n# Storms\n\nOne came <span id=\"night\">at night</span>.\n",
        ];
        $mark = static fn(
            string $name,
        ): string => "<w:bookmarkStart w:id=\"{$name}1\" w:name=\"{$name}\"/><w:bookmarkEnd w:id=\"{$name}1\"/>";
        $head = static fn(
            string $title,
            string $in = '',
        ): string => "<w:p><w:pPr><w:outlineLvl w:val=\"0\"/></w:pPr>{$in}<w:r><w:t>{$title}</w:t></w:r></w:p>";
        $text = static fn(string $says): string => "<w:r><w:t xml:space=\"preserve\">{$says}</w:t></w:r>";
        yield 'docx' => [
            Reading::Docx,
            Package::docx(
                $head('Mud')
                    . '<w:p>'
                    . $text('See ')
                    . \sprintf(self::LINK, 'w', 'Wall')
                    . $text(', ')
                    . \sprintf(self::LINK, 'night', 'that night')
                    . $text(' and ')
                    . \sprintf(self::LINK, 'gone', 'nothing')
                    . $text('.')
                    . '</w:p>'
                    . $head('Wall', $mark('w'))
                    . Package::paragraph('x')
                    . $head('Storms')
                    . '<w:p>'
                    . $text('One came ')
                    . $mark('night')
                    . $text('at night.')
                    . '</w:p>',
            ),
        ];
        $h = static fn(string $title, string $in = ''): string => "<text:h text:outline-level=\"1\">{$in}{$title}</text:h>";
        yield 'odt' => [
            Reading::Odt,
            Package::odt(
                $h('Mud')
                    . '<text:p>See <text:a xlink:href="#w">Wall</text:a>, <text:a xlink:href="#night">that night</text:a> and <text:a '
                        . 'xlink:href="#gone">nothing</text:a>.</text:p>'
                    . $h('Wall', '<text:bookmark text:name="w"/>')
                    . '<text:p>x</text:p>'
                    . $h('Storms')
                    . '<text:p>One came <text:bookmark text:name="night"/>at night.</text:p>',
            ),
        ];
    }

    #[DataProvider('documents')]
    public function testALinkLeadsToItsTopicAndStaysRightWhenThatIsMoved(Reading $format, string $file): void
    {
        $plan = Build::intake($format, $file)->plan;
        self::assertSame("Mud\nWall\nStorms", Build::outline($plan));
        [$wall, $storms] = [Build::id($plan, 'Wall'), Build::id($plan, 'Storms')];
        $inlines = array_values($plan->topic(Build::id($plan, 'Mud'))->note->blocks ?? [])[0]->content;
        self::assertSame(
            [$wall],
            array_values(
                array_filter(
                    array_map(
                        static fn(Node $node): ?string => $node->type === NodeType::TopicRef ? $node->attrs['topic'] : null,
                        $inlines,
                    ),
                ),
            ),
        );
        self::assertSame(
            ["that night → #_e{$storms}"],
            array_values(
                array_filter(
                    array_map(
                        static fn(Node $node): ?string => str_starts_with((string) $node->link(), "#_e{$storms}")
                            ? "{$node->text} → {$node->link()}"
                            : null,
                        $inlines,
                    ),
                ),
            ),
        );
        $moved = (new MoveTopics([$wall], new Place(Plan::ROOT, $storms)))->apply($plan);
        foreach ([[$plan, '2 Wall'], [$moved, '3 Wall']] as [$one, $says]) {
            $html = self::html($one);
            self::assertSame(1, preg_match('/<a href="#(_e[^"]+)">' . $says . '<\/a>/', $html, $m), $html);
            self::assertStringContainsString("id=\"{$m[1]}\"", $html);
        }
    }

    #[DataProvider('documents')]
    public function testNoLinkLeadsNowhere(Reading $format, string $file): void
    {
        $plan = Build::intake($format, $file)->plan;
        self::assertStringContainsString('nothing', self::html($plan));
        // The topic that is referred to is not in the draft of one branch alone: what is left is its words.
        foreach ([self::html($plan), self::html($plan, new Choices(from: Build::id($plan, 'Mud')))] as $html) {
            preg_match_all('/href="#([^"]*)"/', $html, $links);
            preg_match_all('/ id="([^"]*)"/', $html, $ids);
            self::assertSame([], array_values(array_diff($links[1], $ids[1])));
        }
    }

    private static function html(Plan $plan, Choices $choices = new Choices()): string
    {
        $out = Build::stream('');
        Writing::Html->writer()->write($plan, $choices, $out, sys_get_temp_dir());
        rewind($out);

        return (string) stream_get_contents($out);
    }
}
