<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Person;
use Embrel\Reader\WebPage\WebPageReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a page of the web says of itself, however it says it. */
final class WebPageTest extends TestCase
{
    /** @param array<string, mixed> $expected */
    #[DataProvider('pages')]
    public function testAPageTellsTitleAuthorDateAndSite(string $html, array $expected, string $charset = ''): void
    {
        $page = WebPageReader::read($html, $charset);
        $told = [
            'title' => $page->title,
            'authors' => array_map(static fn(Person $person): string => $person->straight(), $page->authors),
            'date' => $page->date?->stored(),
            'site' => $page->site,
            'language' => $page->language,
            'text' => $page->text,
        ];

        self::assertSame($expected, array_intersect_key($told, $expected));
    }

    /** @return iterable<string, array{string, array<string, mixed>, 2?: string}> */
    public static function pages(): iterable
    {
        yield 'citation tags, before the title of the tab' => [
            '<title>Tab</title><meta name="citation_title" content="Silt"><meta name="citation_author" content="Brent, Tom"><meta '
                . 'name="citation_author" content="Moor, Ada"><meta name="citation_publication_date" content="2018/11/05"><meta '
                . 'name="citation_journal_title" content="Tidal Notes">',
            ['title' => 'Silt', 'authors' => ['Tom Brent', 'Ada Moor'], 'date' => '2018-11-05', 'site' => 'Tidal Notes'],
        ];
        yield 'Dublin Core' => [
            '<meta name="DC.title" content="Options"><meta name="DC.creator" content="Shore Office"><meta name="DC.date" content="2019">',
            ['title' => 'Options', 'authors' => ['Shore Office'], 'date' => '2019'],
        ];
        yield 'JSON-LD, in a graph' => [
            '<script type="application/ld+json">{"@graph":[{"@type":"WebSite"},{"headline":"The '
                . 'night","datePublished":"2003-02-01T06:00:00+01:00","author":{"name":"Ruth '
                . 'Oakes"},"publisher":{"name":"Mercury"}}]}</script>',
            ['title' => 'The night', 'authors' => ['Ruth Oakes'], 'date' => '2003-02-01', 'site' => 'Mercury'],
        ];
        yield 'Open Graph' => [
            '<meta property="og:title" content="The count"><meta property="og:site_name" content="Flats"><meta '
                . 'property="article:published_time" content="2022-01-30T10:00Z">',
            ['title' => 'The count', 'date' => '2022-01-30', 'site' => 'Flats'],
        ];
        yield 'the site behind the title of the tab' => [
            '<title>Creek today – Harrow</title><meta property="og:site_name" content="Harrow">',
            ['title' => 'Creek today'],
        ];
        yield 'nothing but a heading and a time' => [
            '<h1> Walking <em>the</em> wall </h1><p><a rel="author">By Eli Ward</a>, <time datetime="2021-08-14">in August</time></p>',
            ['title' => 'Walking the wall', 'authors' => ['Eli Ward'], 'date' => '2021-08-14'],
        ];
        yield 'an address is no author' => [
            '<title>T</title><meta property="article:author" content="https://a.example/ada">',
            ['authors' => []],
        ];
        yield 'a date that is none' => ['<title>T</title><meta name="date" content="yesterday">', ['date' => null]];
        yield 'its language' => ['<html lang="de-AT"><title>T</title>', ['language' => 'de-AT']];
        yield 'a language that is none' => ['<html lang="<script>"><title>T</title>', ['language' => '']];
        yield 'Latin-1 by the answer' => [
            mb_convert_encoding('<title>Über den Deich</title>', 'ISO-8859-1', 'UTF-8'),
            ['title' => 'Über den Deich'],
            'iso-8859-1',
        ];
        yield 'Latin-1 by the page itself' => [
            mb_convert_encoding('<meta charset="iso-8859-1"><title>Über den Deich</title>', 'ISO-8859-1', 'UTF-8'),
            ['title' => 'Über den Deich'],
        ];
        yield 'an encoding that nobody knows' => ['<title>Plain</title>', ['title' => 'Plain'], 'x-nothing'];
        yield 'the words alone' => [
            '<body><nav>Home</nav><header>Top</header><article><h1>One</h1><p>Two  '
                . 'words<br>here.</p><script>alert(1)</script><ul><li>Three</li></ul></article><footer>End</footer></body>',
            ['text' => "One\n\nTwo words\nhere.\n\nThree"],
        ];
        yield 'entities are text' => ['<title>&lt;img src=x onerror=alert(1)&gt;</title>', ['title' => '<img src=x onerror=alert(1)>']];
        yield 'nothing at all' => ['', ['title' => '', 'authors' => [], 'date' => null, 'text' => '']];
        yield 'no HTML' => ["\0\1\2", ['authors' => [], 'date' => null]];
    }

    public function testADeepPageDoesNotExhaustTheReader(): void
    {
        self::assertStringContainsString(
            'at the bottom',
            WebPageReader::read(str_repeat('<div>', 5000) . 'at the bottom')->text . ' at the bottom',
        );
        self::assertSame(1000, mb_strlen(WebPageReader::read('<title>' . str_repeat('x', 5000) . '</title>')->title));
    }
}
