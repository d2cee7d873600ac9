<?php

declare(strict_types=1);

namespace Embrel\Reader\WebPage;

use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Limits;
use Embrel\Reader\Html\PageText;
use Embrel\RichText\Text;

/**
 * Reads title, authors and date out of HTML: what a page declares for machines (Dublin Core, citation
 * tags, schema.org in JSON-LD, Open Graph) before what it shows.
 */
final class WebPageReader
{
    private const TITLES = ['citation_title', 'dc.title', 'dcterms.title', 'og:title'];
    private const AUTHORS = ['citation_author', 'dc.creator', 'dcterms.creator', 'author', 'article:author'];
    private const DATES = [
        'citation_publication_date',
        'citation_date',
        'dc.date',
        'dcterms.date',
        'dcterms.issued',
        'article:published_time',
        'date',
        'pubdate',
    ];
    private const SITES = ['citation_journal_title', 'og:site_name', 'dc.publisher', 'dcterms.publisher', 'publisher', 'application-name'];
    private const SKIPPED = [
        'script',
        'style',
        'nav',
        'header',
        'footer',
        'aside',
        'form',
        'noscript',
        'template',
        'svg',
        'iframe',
        'button',
        'select',
        'figure',
    ];
    private const PARAGRAPHS = [
        'p',
        'h1',
        'h2',
        'h3',
        'h4',
        'h5',
        'h6',
        'li',
        'blockquote',
        'pre',
        'dd',
        'dt',
        'td',
        'th',
        'div',
        'section',
        'article',
        'main',
        'body',
        'tr',
        'ul',
        'ol',
        'dl',
        'table',
    ];

    /** @var array<string, list<string>> name in small letters → what it says */
    private array $tags = [];

    /** @var array<array-key, mixed> */
    private array $declared = [];

    private function __construct(private readonly \DOMDocument $page) {}

    /** @param string $charset as the answer named it; empty: as the page does, else UTF-8 */
    public static function read(string $html, string $charset = ''): WebPage
    {
        $page = PageText::dom(PageText::utf8($html, $charset));
        $reader = new self($page);
        $reader->collect();

        return new WebPage($reader->title(), $reader->authors(), $reader->date(), $reader->site(), $reader->language(), $reader->text());
    }

    private function collect(): void
    {
        foreach ($this->page->getElementsByTagName('meta') as $meta) {
            $name = strtolower($meta->getAttribute('name') ?: $meta->getAttribute('property') ?: $meta->getAttribute('itemprop'));
            $says = Text::line($meta->getAttribute('content'));
            if ($name !== '' && $says !== '') {
                $this->tags[$name][] = mb_substr($says, 0, Limits::SOURCE_TEXT);
            }
        }
        foreach ($this->page->getElementsByTagName('script') as $script) {
            $json = $script->getAttribute('type') === 'application/ld+json' ? json_decode($script->textContent, true, 32) : null;
            $things = \is_array($json) ? $json['@graph'] ?? (array_is_list($json) ? $json : [$json]) : [];
            foreach (\is_array($things) ? $things : [] as $thing) {
                if (\is_array($thing) && (isset($thing['headline']) || isset($thing['datePublished']))) {
                    $this->declared += $thing;
                }
            }
        }
    }

    /** @param list<string> $names */
    private function tag(array $names): string
    {
        foreach ($names as $name) {
            if (isset($this->tags[$name])) {
                return $this->tags[$name][0];
            }
        }

        return '';
    }

    private function title(): string
    {
        $headline = $this->declared['headline'] ?? null;
        $title
            = $this->tag(self::TITLES)
            ?: (\is_string($headline)
                ? Text::line($headline)
                : '')
            ?: Text::line($this->page->getElementsByTagName('title')->item(0)->textContent ?? '');
        // “Title – Site” of the browser's tab is the title and the site.
        $site = $this->tag(self::SITES);
        $title = $site === '' ? $title : preg_replace('/\s+[|–—-]\s+' . preg_quote($site, '/') . '\z/u', '', $title) ?? $title;
        $title = $title ?: Text::line($this->page->getElementsByTagName('h1')->item(0)->textContent ?? '');

        return mb_substr(preg_replace('/\s+/u', ' ', $title) ?? $title, 0, Limits::TITLE);
    }

    /** @return list<Person> */
    private function authors(): array
    {
        $names = [];
        foreach (self::AUTHORS as $tag) {
            $names = $names === [] ? $this->tags[$tag] ?? [] : $names;
        }
        if ($names === []) {
            $given = $this->declared['author'] ?? [];
            foreach (\is_array($given) && array_is_list($given) ? $given : [$given] as $one) {
                $name = \is_array($one) ? $one['name'] ?? null : $one;
                $names = \is_string($name) && $name !== '' ? [...$names, Text::line($name)] : $names;
            }
        }
        if ($names === []) {
            foreach ((new \DOMXPath($this->page))->query('//a[@rel="author"] | //*[@itemprop="author"]') ?: [] as $shown) {
                $names[] = Text::line($shown instanceof \DOMNode ? $shown->textContent : '');
            }
        }
        // An address is no name.
        $names = array_filter(
            array_unique($names),
            static fn(string $name): bool => $name !== '' && !str_contains($name, '://') && mb_strlen($name) < Limits::SOURCE_NAME,
        );

        return array_map(
            static fn(string $name): Person => Person::typed(preg_replace('/\A(?:by|von)\s+/i', '', $name) ?? $name),
            \array_slice(array_values($names), 0, 20),
        );
    }

    private function date(): ?PartialDate
    {
        $published = $this->declared['datePublished'] ?? null;
        $times = (new \DOMXPath($this->page))->query('//time[@datetime]');
        $time = $times === false ? null : $times->item(0);
        $given
            = $this->tag(self::DATES)
            ?: (\is_string($published)
                ? $published
                : '')
            ?: ($time instanceof \DOMElement
                ? $time->getAttribute('datetime')
                : '');
        $date = PartialDate::typed(preg_replace('/\A(\d{4}-\d\d-\d\d)[T ].*\z/s', '$1', $given) ?? $given);

        return $date?->year === null ? null : $date;
    }

    private function site(): string
    {
        $publisher = $this->declared['publisher'] ?? null;
        $name = \is_array($publisher) ? $publisher['name'] ?? null : null;

        return $this->tag(self::SITES) ?: (\is_string($name) ? Text::line($name) : '');
    }

    private function language(): string
    {
        $tag = $this->page->documentElement?->getAttribute('lang') ?? '';

        return preg_match('/\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/', $tag) === 1 ? $tag : '';
    }

    /** The words of the page without what stands around them. */
    private function text(): string
    {
        $root
            = $this->page->getElementsByTagName('article')->item(0)
            ?? ($this->page->getElementsByTagName('main')->item(0) ?? $this->page->getElementsByTagName('body')->item(0));
        $out = '';
        $stack = $root === null ? [] : [$root];
        while ($stack !== []) {
            $node = array_pop($stack);
            if (\is_string($node)) {
                $out .= $node;
            } elseif ($node instanceof \DOMText) {
                $out .= preg_replace('/\s+/u', ' ', $node->data) ?? '';
            } elseif ($node instanceof \DOMElement && !\in_array($node->tagName, self::SKIPPED, true)) {
                $breaks = \in_array($node->tagName, self::PARAGRAPHS, true) ? "\n\n" : ($node->tagName === 'br' ? "\n" : '');
                array_push(
                    $stack,
                    $breaks,
                    ...array_reverse(iterator_to_array($node->childNodes, false)),
                    ...$node->tagName === 'br' ? [] : [$breaks],
                );
            }
        }

        return trim(preg_replace(['/[ \t]*\n[ \t]*/', '/\n{3,}/'], ["\n", "\n\n"], Text::cleaned($out)) ?? $out);
    }
}
