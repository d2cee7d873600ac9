<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use Embrel\RichText\Mark;
use Embrel\RichText\Node;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;
use League\CommonMark\Extension\CommonMark\Node\Block\HtmlBlock;
use League\CommonMark\Node\Node as MarkdownNode;

/** Blocks of raw HTML: their headings, and their text as paragraphs. What can run is left out. */
final class Html
{
    private const HIDDEN = ['script', 'style', 'template', 'iframe', 'object', 'embed', 'head'];
    private const BLOCKS = ['p', 'div', 'li', 'ul', 'ol', 'table', 'tr', 'td', 'th', 'section', 'article', 'blockquote', 'pre', 'details', 'summary', 'dl', 'dt', 'dd', 'center', 'figure'];

    /** @var list<Node|array{level: int, title: string}> */
    private array $parts = [];
    /** @var list<Node> */
    private array $run = [];

    /** @return list<array{level: int, title: string}> */
    public static function headings(MarkdownNode $node): array
    {
        return array_values(array_filter(self::parts($node) ?? [], \is_array(...)));
    }

    /** @return list<Node|array{level: int, title: string}>|null null for what is not raw HTML */
    public static function parts(MarkdownNode $node): ?array
    {
        if (!$node instanceof HtmlBlock) {
            return null;
        }
        $errors = libxml_use_internal_errors(true);
        $dom = new \DOMDocument();
        $dom->loadHTML('<?xml encoding="UTF-8"><html><body>' . $node->getLiteral() . '</body></html>', \LIBXML_NONET | \LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);
        $html = new self();
        $body = $dom->getElementsByTagName('body')->item(0);
        if ($body !== null) {
            $html->children($body, []);
        }
        $html->flush();

        return $html->parts;
    }

    /** @param list<Mark> $marks */
    private function children(\DOMNode $parent, array $marks): void
    {
        foreach ($parent->childNodes as $node) {
            if ($node instanceof \DOMText) {
                $text = Text::cleaned((string) preg_replace('/\s+/u', ' ', $node->data));
                $text === '' ? null : $this->run[] = Node::text($text, $marks);
            } elseif ($node instanceof \DOMElement) {
                $this->element($node, strtolower($node->nodeName), $marks);
            }
        }
    }

    /** @param list<Mark> $marks */
    private function element(\DOMElement $node, string $tag, array $marks): void
    {
        if (\in_array($tag, self::HIDDEN, true)) {
            return;
        }
        if (preg_match('/\Ah([1-6])\z/', $tag, $m) === 1) {
            $this->flush();
            $this->parts[] = ['level' => (int) $m[1], 'title' => trim((string) preg_replace('/\s+/u', ' ', $node->textContent))];

            return;
        }
        if ($tag === 'img') {
            $this->flush();
            $this->parts[] = Blocks::pictureAt($node->getAttribute('src'), $node->getAttribute('alt'), $marks);

            return;
        }
        $isBlock = \in_array($tag, self::BLOCKS, true);
        $isBlock ? $this->flush() : null;
        if ($tag === 'br') {
            $this->run[] = new Node('hardBreak');
        }
        $href = $tag === 'a' ? $node->getAttribute('href') : '';
        $this->children($node, Schema::isSafeLink($href) ? [new Mark('link', ['href' => $href])] : $marks);
        $isBlock ? $this->flush() : null;
    }

    private function flush(): void
    {
        if (trim(implode('', array_map(static fn(Node $one): string => $one->plainText(), $this->run))) !== '') {
            $this->parts[] = Node::paragraph($this->run);
        }
        $this->run = [];
    }
}
