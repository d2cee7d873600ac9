<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** The parts of the files that are handed over, against the rules of their standards. */
final class PackageTest extends TestCase
{
    /** The order of children that ECMA-376, part 1, gives (the sequences of annex A), as far as we write them. */
    private const ORDER = [
        'pPr'
            => 'pStyle keepNext keepLines pageBreakBefore widowControl numPr pBdr shd tabs bidi spacing ind contextualSpacing jc outlineLvl '
                . 'rPr sectPr',
        'rPr' => 'rStyle rFonts b bCs i iCs strike dstrike vanish color spacing sz szCs highlight u shd vertAlign lang',
        'sectPr' => 'headerReference footerReference pgSz pgMar cols titlePg',
        'style' => 'name basedOn next link uiPriority qFormat pPr rPr tblPr trPr tcPr',
        'lvl' => 'start numFmt lvlRestart pStyle isLgl suff lvlText lvlJc pPr rPr',
        'num' => 'abstractNumId lvlOverride',
        'abstractNum' => 'nsid multiLevelType tmpl lvl',
        'tbl' => 'bookmarkStart bookmarkEnd tblPr tblGrid tr',
        'tr' => 'trPr tc',
        'tblPr' => 'tblStyle tblW tblInd tblBorders tblCellMar',
        'tcPr' => 'tcW gridSpan tcBorders shd',
        'settings' => 'zoom embedTrueTypeFonts saveSubsetFonts defaultTabStop characterSpacingControl footnotePr compat',
        'document' => 'body',
        'numbering' => 'abstractNum num',
        'styles' => 'docDefaults latentStyles style',
    ];

    private static function file(Format $format, int $seed, string $style): string
    {
        $pictures = new Shelved([Package::png(80, 60), Package::png(300, 10)]);
        $plan = Notes::on(Trees::random($seed, 40), $seed, $pictures->ids())->withProperties(
            new Properties(author: 'Ada & Co', subtitle: 'Sub', language: 'en-GB'),
        );
        $settings
            = [
                'logo' => $pictures->ids()[0],
                'header' => ['{logo}', '{section}', '{author}'],
                'footer' => ['{title} & more', '{date}', '{page}/{pages}'],
            ] + Style::own($style)->toArray();
        $work = sys_get_temp_dir() . '/embrel-package-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        $format
            ->writer()
            ->write(
                $plan,
                new Choices(
                    pictures: $pictures,
                    draft: new DraftChoices(headingDepth: 9, figures: true, style: Style::of($settings), date: '2026-11-23'),
                ),
                $out,
                $work,
            );
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));

        return (string) stream_get_contents($out);
    }

    /** @return iterable<string, array{int, string}> */
    public static function drafts(): iterable
    {
        foreach (array_keys(Style::OWN) as $i => $style) {
            foreach ([1, 2, 3, 4, 5] as $n) {
                yield "{$style}, plan {$n}" => [10 * $i + $n, $style];
            }
        }
    }

    private static function dom(string $xml): \DOMXPath
    {
        $dom = new \DOMDocument();
        self::assertTrue($dom->loadXML($xml), substr($xml, 0, 200));

        return new \DOMXPath($dom);
    }

    /** @return list<string> */
    private static function values(\DOMXPath $path, string $query): array
    {
        return array_map(
            static fn(\DOMNode $node): string => (string) $node->nodeValue,
            iterator_to_array($path->query($query) ?: [], false),
        );
    }

    #[DataProvider('drafts')]
    public function testWordProcessorDocuments(int $seed, string $style): void
    {
        $parts = Package::parts(self::file(Format::Docx, $seed, $style));
        $types = self::dom($parts['[Content_Types].xml']);
        $defaults = self::values($types, '//@Extension');
        $overrides = array_map(static fn(string $name): string => ltrim($name, '/'), self::values($types, '//@PartName'));
        foreach ($parts as $name => $content) {
            self::assertTrue(
                \in_array($name, $overrides, true) || \in_array(pathinfo($name, PATHINFO_EXTENSION), $defaults, true),
                "{$name} has no content type.",
            );
            if (!str_ends_with($name, '.xml') && !str_ends_with($name, '.rels')) {
                continue;
            }
            $path = self::dom($content);
            foreach (
                $path->query('//*[namespace-uri()="http://schemas.openxmlformats.org/wordprocessingml/2006/main"]') ?: [] as $element
            ) {
                $this->assertOrder($element, $name);
            }
        }
        self::assertSame([], array_diff($overrides, array_keys($parts)), 'Every part that is named is there.');
        foreach (array_keys($parts) as $name) {
            if (preg_match('/\A(.*)_rels\/([^\/]+)\.rels\z/', $name, $m) === 1) {
                foreach (self::values(self::dom($parts[$name]), '//*[not(@TargetMode)]/@Target') as $target) {
                    self::assertArrayHasKey($m[1] . $target, $parts, "{$name} leads to {$target}.");
                }
            }
        }
        // A table is followed by a paragraph, and ends no cell (17.4.66).
        $body = self::dom($parts['word/document.xml']);
        self::assertSame([], self::values($body, '//*[local-name()="tbl"][not(following-sibling::*[1][local-name()="p"])]'));
        $ids = self::values($body, '//*[local-name()="bookmarkStart"]/@*[local-name()="id"]');
        self::assertSame(array_unique($ids), $ids);
        self::assertSame(
            [],
            array_filter(
                self::values($body, '//*[local-name()="bookmarkStart"]/@*[local-name()="name"]'),
                static fn(string $name): bool => preg_match('/\A[A-Za-z_]\w{0,39}\z/', $name) !== 1,
            ),
        );
    }

    private function assertOrder(\DOMNode $element, string $part): void
    {
        $order = array_flip(explode(' ', self::ORDER[$element->localName] ?? ''));
        if (!isset(self::ORDER[$element->localName])) {
            return;
        }
        $last = -1;
        foreach ($element->childNodes as $child) {
            if ($child instanceof \DOMElement) {
                self::assertArrayHasKey($child->localName, $order, "{$part}: {$child->localName} in {$element->localName}");
                self::assertGreaterThanOrEqual(
                    $last,
                    $order[$child->localName],
                    "{$part}: {$child->localName} comes too late in {$element->localName}",
                );
                $last = $order[$child->localName];
            }
        }
    }

    #[DataProvider('drafts')]
    public function testOpenDocuments(int $seed, string $style): void
    {
        $bytes = self::file(Format::Odt, $seed, $style);
        $parts = Package::parts($bytes);
        // Part 2, 3.3: the media type first, without packing.
        self::assertSame('mimetype', array_key_first($parts));
        self::assertSame('application/vnd.oasis.opendocument.text', substr($bytes, 38, 39));
        $listed = self::values(self::dom($parts['META-INF/manifest.xml']), '//@*[local-name()="full-path"]');
        self::assertSame(
            [],
            array_diff(array_keys($parts), $listed, ['mimetype', 'META-INF/manifest.xml']),
            'Every part is in the manifest.',
        );
        self::assertSame([], array_diff($listed, array_keys($parts), ['/']));
        $content = self::dom($parts['content.xml']);
        $styles = self::dom($parts['styles.xml']);
        foreach (
            [
                'paragraph' => '//*[local-name()="p" or local-name()="h"]/@*[local-name()="style-name"]',
                'text' => '//*[local-name()="span" or local-name()="a"]/@*[local-name()="style-name"]',
            ] as $family => $query
        ) {
            $known = [
                ...self::values($content, "//*[local-name()='style'][@*[local-name()='family']='{$family}']/@*[local-name()='name']"),
                ...self::values($styles, "//*[local-name()='style'][@*[local-name()='family']='{$family}']/@*[local-name()='name']"),
            ];
            self::assertSame(
                [],
                array_values(array_diff(array_unique(self::values($content, $query)), $known)),
                "Every {$family} style is defined.",
            );
        }
        foreach (
            [
                'list' => ['list-item', 'list-header'],
                'list-item' => ['p', 'h', 'list', 'soft-page-break'],
                'table' => ['table-column', 'table-header-rows', 'table-row'],
                'table-row' => ['table-cell'],
                'note' => ['note-citation', 'note-body'],
            ] as $element => $allowed
        ) {
            foreach ($content->query("//*[local-name()='{$element}']/*") ?: [] as $child) {
                // A list item of ours also holds what else a note has: tables stand there in no reader's way.
                self::assertContains($child->localName, $element === 'list-item' ? [...$allowed, 'table'] : $allowed, $element);
            }
        }
        self::assertSame(
            [],
            array_diff(
                array_map(
                    static fn(string $href): string => $href,
                    self::values($content, '//*[local-name()="image"]/@*[local-name()="href"]'),
                ),
                array_keys($parts),
            ),
        );
    }

    #[DataProvider('drafts')]
    public function testBooks(int $seed, string $style): void
    {
        $bytes = self::file(Format::Epub, $seed, $style);
        $parts = Package::parts($bytes);
        self::assertSame('mimetype', array_key_first($parts));
        self::assertSame('application/epub+zip', substr($bytes, 38, 20));
        $package = self::values(self::dom($parts['META-INF/container.xml']), '//@full-path')[0];
        $opf = self::dom($parts[$package]);
        $items = self::values($opf, '//*[local-name()="item"]/@href');
        $own = array_map(
            static fn(string $name): string => substr($name, 5),
            array_values(
                array_filter(array_keys($parts), static fn(string $name): bool => str_starts_with($name, 'EPUB/') && $name !== $package),
            ),
        );
        sort($items);
        sort($own);
        self::assertSame($own, $items, 'The manifest lists what is there, and nothing else.');
        $ids = self::values($opf, '//*[local-name()="item"]/@id');
        self::assertSame([], array_diff(self::values($opf, '//*[local-name()="itemref"]/@idref'), $ids));
        self::assertCount(1, self::values($opf, '//*[local-name()="item"][@properties="nav"]/@id'));
        foreach (['identifier', 'title', 'language'] as $must) {
            self::assertNotSame('', implode('', self::values($opf, "//*[local-name()='{$must}']")), $must);
        }
        // For a reader program: contents, landmarks and the pages of the print; and what it is like for whom.
        $nav = self::dom((string) preg_replace('/<!DOCTYPE html>/', '', $parts['EPUB/nav.xhtml']));
        self::assertSame(['toc', 'landmarks', 'page-list'], self::values($nav, '//*[local-name()="nav"]/@*[local-name()="type"]'));
        self::assertNotSame([], self::values($nav, '//*[@id="pages"]//*[local-name()="a"]'));
        $said = self::values($opf, '//*[local-name()="meta"]/@property');
        foreach (['accessMode', 'accessModeSufficient', 'accessibilityFeature', 'accessibilityHazard', 'accessibilitySummary'] as $must) {
            self::assertContains("schema:{$must}", $said);
        }
        $names = [];
        foreach ($own as $name) {
            if (str_ends_with($name, '.xhtml')) {
                $found = self::values(self::dom((string) preg_replace('/<!DOCTYPE html>/', '', $parts["EPUB/{$name}"])), '//@id');
                self::assertSame(array_unique($found), $found, $name);
                $names[$name] = array_flip($found);
            }
        }
        foreach (array_keys($names) as $name) {
            foreach (
                self::values(
                    self::dom((string) preg_replace('/<!DOCTYPE html>/', '', $parts["EPUB/{$name}"])),
                    '//*[local-name()="a"]/@href',
                ) as $href
            ) {
                if (!str_contains($href, '://')) {
                    [$page, $place] = explode('#', $href, 2) + [1 => ''];
                    self::assertTrue(
                        isset($names[$page === '' ? $name : $page])
                            && ($place === '' || isset($names[$page === '' ? $name : $page][$place])),
                        "{$name} leads to {$href}.",
                    );
                }
            }
        }
    }

    public function testTheContentsListGoesAsDeepAsItIsAskedTo(): void
    {
        $plan = Build::plan("One\n  Two\n    Three\n      Four\n        Five\n          Six");
        foreach ([1, 3, 5] as $depth) {
            $choices = new Choices(draft: new DraftChoices(headingDepth: 9, contentsDepth: $depth));
            $docx = self::dom(self::parts($plan, $choices, Format::Docx)['word/document.xml']);
            self::assertSame(
                $depth,
                \count(
                    self::values(
                        $docx,
                        '//*[local-name()="pStyle"][starts-with(@*[local-name()="val"], "TOC") and @*[local-name()="val"] != "TOCHeading"]',
                    ),
                ),
                "docx, {$depth}",
            );
            $odt = self::dom(self::parts($plan, $choices, Format::Odt)['content.xml']);
            self::assertSame($depth, \count(self::values($odt, '//*[local-name()="index-body"]/*[local-name()="p"]')), "odt, {$depth}");
            $document = Draft::of($plan, $choices);
            self::assertSame($depth, \count($document->contents), "pages, {$depth}");
        }
    }

    public function testTheTitleOfAQuoteIsKeptWithItsQuotation(): void
    {
        $plan = Build::plan("A\n  Pell says\n  Quoted alone");
        foreach (['Pell says', 'Quoted alone'] as $title) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with(['kind' => Kind::Quote]));
        }
        $plan = $plan->with($plan->topic(Build::id($plan, 'Pell says'))->withNote(Build::note('The wall was never meant to last.')));
        $docx = self::dom(self::parts($plan, new Choices(), Format::Docx)['word/document.xml']);
        self::assertSame(
            ['Pell says'],
            self::values(
                $docx,
                '//*[local-name()="p"][*[local-name()="pPr"]/*[local-name()="keepNext"]][.//*[@*[local-name()="val"]="Quote"]]',
            ),
        );
        $odt = self::dom(self::parts($plan, new Choices(), Format::Odt)['content.xml']);
        self::assertSame(
            ['Pell says'],
            self::values(
                $odt,
                '//*[local-name()="p"][@*[local-name()="style-name"] = '
                    . '//*[local-name()="style"][*[@*[local-name()="keep-with-next"]="always"]]/@*[local-name()="name"]]',
            ),
        );
    }

    /** @return array<string, string> */
    private static function parts(Plan $plan, Choices $choices, Format $format): array
    {
        $work = sys_get_temp_dir() . '/embrel-package-' . bin2hex(random_bytes(6));
        mkdir($work);
        $out = Build::stream('');
        $format->writer()->write($plan, $choices, $out, $work);
        rewind($out);
        exec('rm -rf ' . escapeshellarg($work));

        return Package::parts((string) stream_get_contents($out));
    }
}
