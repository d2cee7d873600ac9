<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

use League\CommonMark\Environment\Environment;
use League\CommonMark\Node\Block\Paragraph;
use League\CommonMark\Node\StringContainerInterface;
use League\CommonMark\Parser\InlineParserEngine;
use League\CommonMark\Reference\ReferenceMap;

/** A line of Markdown without its marks and addresses: the words alone. */
final class PlainLine
{
    /** Longer ones are no line that is read as one. */
    private const LONGEST = 2_000;

    private readonly InlineParserEngine $engine;

    public function __construct(Environment $environment)
    {
        $this->engine = new InlineParserEngine($environment, new ReferenceMap());
    }

    public function of(string $line): string
    {
        if (\strlen($line) > self::LONGEST || strpbrk($line, '*_`~[!\\&<') === false) {
            return trim($line);
        }
        $paragraph = new Paragraph();
        $this->engine->parse($line, $paragraph);
        $words = '';
        foreach ($paragraph->iterator() as $node) {
            $words .= $node instanceof StringContainerInterface ? $node->getLiteral() : '';
        }

        return trim($words);
    }
}
