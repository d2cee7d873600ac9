<?php

declare(strict_types=1);

namespace Embrel\RichText;

use Embrel\Limits;
use Embrel\Words;

/** The rich text on a topic: checked blocks, each with an id that no other block of the note has. */
final readonly class Note
{
    /** @param array<string, Node> $blocks by id, in reading order */
    private function __construct(public array $blocks) {}

    /**
     * @param iterable<Node> $blocks
     *
     * @throws InvalidNote when a block has no id of its own, or the whole is too large
     */
    public static function of(iterable $blocks): self
    {
        $byId = [];
        foreach ($blocks as $block) {
            $id = $block->id() ?? throw InvalidNote::missingId($block->type);
            if (isset($byId[$id])) {
                throw InvalidNote::doubleId($id);
            }
            $byId[$id] = $block;
        }

        return new self($byId);
    }

    public static function empty(): self
    {
        return new self([]);
    }

    /** @throws InvalidNote */
    public static function fromJson(string $json): self
    {
        if (\strlen($json) > Limits::NOTE) {
            throw InvalidNote::tooLarge();
        }
        $decoded = json_decode($json, true, 256);
        $blocks = \is_array($decoded) && ($decoded['version'] ?? null) === Schema::VERSION ? $decoded['blocks'] ?? null : null;
        if (!\is_array($blocks)) {
            throw InvalidNote::unknown('no version or no blocks', 'note');
        }

        return self::of(array_map(Schema::block(...), array_values($blocks)));
    }

    /** @throws InvalidNote when the stored form would be over the limit, or could not be read again */
    public function toJson(): string
    {
        foreach ($this->blocks as $block) {
            $block->depth() > Limits::NOTE_DEPTH ? throw InvalidNote::tooDeep() : null;
        }
        $json = json_encode(
            [
                'version' => Schema::VERSION,
                'blocks' => array_map(static fn(Node $block): array => $block->toArray(), array_values($this->blocks)),
            ],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );

        return \strlen($json) > Limits::NOTE ? throw InvalidNote::tooLarge() : $json;
    }

    /** @return \Generator<Node> every node of a type, in reading order */
    public function find(NodeType $type): \Generator
    {
        foreach ($this->blocks as $block) {
            foreach ($block->all() as $node) {
                if ($node->type === $type) {
                    yield $node;
                }
            }
        }
    }

    /**
     * With references to topics that are now others.
     *
     * @param array<string, string> $topics id → the id that it has now; what is not in it stays
     */
    public function retargeted(array $topics): self
    {
        $blocks = array_map(static fn(Node $block): Node => $block->retargeted($topics), $this->blocks);

        return $blocks === $this->blocks ? $this : new self($blocks);
    }

    public function isEmpty(): bool
    {
        foreach ($this->blocks as $block) {
            if ($block->type !== NodeType::Paragraph || $block->content !== []) {
                return false;
            }
        }

        return true;
    }

    /** @param bool $withFootnotes in brackets, where they stand */
    public function plainText(bool $withFootnotes = false): string
    {
        return implode("\n", array_map(static fn(Node $block): string => $block->plainText($withFootnotes), array_values($this->blocks)));
    }

    /** Without the questions that the writer answers in it, and without scaffolding: what of it can print. */
    public function printing(): self
    {
        $blocks = [];
        foreach ($this->blocks as $id => $block) {
            $printing = $block->printing();
            if ($printing !== null) {
                $blocks[$id] = $printing;
            }
        }

        return $blocks === $this->blocks ? $this : new self($blocks);
    }

    public function words(): int
    {
        return Words::in($this->printing()->plainText());
    }
}
