<?php

declare(strict_types=1);

namespace Embrel\Reader\Odt;

use Embrel\Archive\Xml;
use Embrel\Document\Heard;
use Embrel\Document\Reading;

/**
 * Changes that were recorded in a document and are open (ODF 1.3 part 3, 5.5), and its comments: each
 * change counts as accepted, or as never made. What was deleted stands before the text, apart from its place.
 */
final class RecordedChanges
{
    /** Whether something of the paragraph at hand is not there by a change. */
    public bool $hasEmptied = false;
    /** @var array<string, array{kind: string, who: string, text: string}> by their id */
    private array $changes = [];
    /** @var array{who: string, text: string}|null the insertion at hand */
    private ?array $comes = null;

    public function __construct(private readonly Xml $xml, private readonly Reading $reading, private readonly bool $refuses) {}

    /** The list of them, at the beginning of a text. */
    public function read(): void
    {
        foreach ($this->xml->children() as $_) {
            $id = (string) $this->xml->get('text:id');
            foreach ($this->xml->children() as $kind) {
                $kind === 'deletion' && !$this->refuses
                    ? $this->reading->remark('Text that was deleted with changes tracked was left out.')
                    : null;
                [$who, $lines] = ['', []];
                foreach ($this->xml->children() as $part) {
                    if ($part === 'change-info') {
                        [$who] = $this->said();
                    } else {
                        $lines[] = $this->xml->text();
                    }
                }
                $this->changes[$id] = ['kind' => $kind, 'who' => $who, 'text' => implode("\n", $lines)];
            }
        }
    }

    public function comment(): void
    {
        [$who, $lines] = $this->said();
        $this->reading->hears(Heard::COMMENT, $who, implode(' ', $lines));
    }

    /** @return array{string, list<string>} who said what stands here, and what, a paragraph each */
    private function said(): array
    {
        [$who, $lines] = ['', []];
        foreach ($this->xml->children() as $name) {
            match ($name) {
                'creator' => ($who = $this->xml->text()),
                'p' => ($lines[] = $this->xml->text()),
                default => null,
            };
        }

        return [$who, $lines];
    }

    /**
     * Where something was deleted, or an insertion begins or ends.
     *
     * @return string what was deleted here and stays
     */
    public function at(string $name): string
    {
        $change = $this->changes[(string) $this->xml->get('text:change-id')] ?? ['kind' => '', 'who' => '', 'text' => ''];
        if ($name === 'change-end' && $this->comes !== null) {
            $this->reading->hears(Heard::INSERTED, $this->comes['who'], $this->comes['text']);
            $this->comes = null;
        } elseif ($name === 'change-start' && $change['kind'] === 'insertion') {
            $this->comes = ['who' => $change['who'], 'text' => ''];
        } elseif ($name === 'change' && $change['kind'] === 'deletion') {
            $this->reading->hears(Heard::DELETED, $change['who'], $change['text']);
            $this->hasEmptied = $this->hasEmptied || !$this->refuses;

            return $this->refuses ? $change['text'] : '';
        }

        return '';
    }

    /** Whether a text that is met stays: all does but what was inserted and counts as never made. */
    public function keeps(string $text): bool
    {
        if ($this->comes === null) {
            return true;
        }
        $this->comes['text'] .= $text;
        $this->hasEmptied = $this->hasEmptied || $this->refuses;

        return !$this->refuses;
    }
}
