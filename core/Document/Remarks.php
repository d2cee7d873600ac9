<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;

/** Remarks by where in a document they stand: at a paragraph, or, where that is none of its own, at what names the topic. */
final readonly class Remarks
{
    /**
     * @param array<string, array<int, Remark>> $byTopic number → remark
     * @param array<string, array<int, Remark>> $byBlock
     * @param array<int, Remark>                $all
     */
    private function __construct(private array $byTopic, private array $byBlock, public array $all) {}

    /** Those whose topic stands in the document. */
    public static function of(Document $document): self
    {
        $blocks = $topics = [];
        $first = null;
        foreach ($document->remarks === [] ? [] : $document->elements as $element) {
            $first ??= $element->anchor === null ? null : $element->topic;
            $topics[$element->topic] = $topics[$element->topic] ?? $element->anchor !== null;
            if (\in_array($element->block?->type, [NodeType::Paragraph, NodeType::Heading], true)) {
                $blocks[(string) $element->block->string('id')] = true;
            }
        }
        $byTopic = $byBlock = $all = [];
        foreach ($document->remarks as $remark) {
            $number = \count($all);
            // What is about the whole stands at the first that is named.
            $topic = ($topics[$remark->topic] ?? false) === true ? $remark->topic : null;
            if ($remark->block !== '' && isset($blocks[$remark->block])) {
                $byBlock[$remark->block][$number] = $remark;
            } elseif ($topic !== null || (Plan::isFixed($remark->topic) && $first !== null)) {
                $byTopic[$topic ?? (string) $first][$number] = $remark;
            } else {
                continue;
            }
            $all[$number] = $remark;
        }

        return new self($byTopic, $byBlock, $all);
    }

    /** @return array<int, Remark> number → remark */
    public function at(string $topic): array
    {
        return $this->byTopic[$topic] ?? [];
    }

    /** @return array<int, Remark> */
    public function on(?string $block): array
    {
        return $this->byBlock[$block ?? ''] ?? [];
    }
}
