<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Archive\ZipFile;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Plan\Plan;
use Embrel\Writer\Losses;
use Embrel\Writer\Pages;
use Embrel\Writer\PictureFiles;
use Embrel\Writer\Writer;

/** A folder of web pages, one for each main section, as a zip file. */
final class HtmlPagesWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $losses = new Losses();
        $document = Draft::of($plan, $choices);
        $losses->also($document->missing);
        $zip = new ZipFile("{$work}/pages.zip");
        $pictures = new PictureFiles($zip, $choices->pictures, 'pictures');
        $pages = Pages::of($document, '.html');
        $places = Pages::places($pages);
        $writer = (new HtmlWriter($losses, $pictures->name(...), isFile: true))->withPlaces($places);
        foreach ($pages as $i => $page) {
            $top
                = $i > 0
                    ? ''
                    : HtmlFileWriter::front($document)
                        . HtmlFileWriter::contents(
                            $document,
                            static fn(string $topic): string => (string) strstr($places[$topic] ?? '#', '#', true),
                        );
            $zip->text(
                $page['name'],
                HtmlFileWriter::head(
                    $document,
                    $i === 0 ? $document->title : "{$page['title']} – {$document->title}",
                    '<link rel="stylesheet" href="style.css">',
                )
                    . $top
                    . $writer->elements($page['elements'])
                    . self::turn($pages, $i)
                    . "</body>\n</html>\n",
            );
        }
        $zip->text('style.css', Sheet::css($document))->sendTo($out);

        return $losses->sentences();
    }

    /** @param list<array{name: string, title: string, elements: list<\Embrel\Document\Element>}> $pages */
    private static function turn(array $pages, int $i): string
    {
        $link = static fn(int $to, string $before, string $after): string => isset($pages[$to])
            ? "<a href=\"{$pages[$to]['name']}\">{$before}" . HtmlWriter::escaped($pages[$to]['title']) . "{$after}</a>"
            : '<span></span>';

        return '<nav class="turn">' . $link($i - 1, '← ', '') . $link($i + 1, '', ' →') . '</nav>';
    }
}
