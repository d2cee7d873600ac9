<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

/** The fields that are open at a place of a document; they may span paragraphs and stand in each other. */
final class Fields
{
    /** What a field shows that a plan makes anew or has no use for. */
    private const HIDDEN = ['TOC', 'TOA', 'INDEX', 'PAGE', 'NUMPAGES', 'SECTIONPAGES', 'PAGEREF'];

    /** Of an instruction: a citation carries its sources in it. */
    private const LONGEST = 1_000_000;

    /** @var list<array{instruction: string, isResult: bool, isHidden: bool, address: string}> outermost first */
    private array $open = [];

    public function begin(): void
    {
        $this->open[] = ['instruction' => '', 'isResult' => false, 'isHidden' => false, 'address' => ''];
    }

    public function instruct(string $text): void
    {
        $top = \count($this->open) - 1;
        if ($top >= 0 && !$this->open[$top]['isResult'] && \strlen($this->open[$top]['instruction']) < self::LONGEST) {
            $this->open[$top]['instruction'] .= $text;
        }
    }

    /** @return string the instruction whose result comes now */
    public function separate(): string
    {
        $top = \count($this->open) - 1;
        if ($top < 0) {
            return '';
        }
        $kind = self::kind($this->open[$top]['instruction']);
        $this->open[$top] = ['isResult' => true, 'isHidden' => $kind['isHidden'], 'address' => $kind['address']] + $this->open[$top];

        return $this->open[$top]['instruction'];
    }

    /** The result of the innermost field is left out. */
    public function hide(): void
    {
        $top = \count($this->open) - 1;
        $top < 0 ?: $this->open[$top]['isHidden'] = true;
    }

    public function end(): void
    {
        array_pop($this->open);
    }

    /** Whether what comes now is an instruction, or a result that is left out. */
    public function isHiding(): bool
    {
        foreach ($this->open as $field) {
            if (!$field['isResult'] || $field['isHidden']) {
                return true;
            }
        }

        return false;
    }

    /** Where the innermost link that is open leads; empty for none. */
    public function address(): string
    {
        foreach (array_reverse($this->open) as $field) {
            if ($field['address'] !== '') {
                return $field['address'];
            }
        }

        return '';
    }

    /** @return array{name: string, isHidden: bool, address: string} */
    public static function kind(string $instruction): array
    {
        $name = strtoupper((string) strtok(trim($instruction), " \t\n"));
        $address = '';
        if ($name === 'HYPERLINK') {
            preg_match('/\A\s*HYPERLINK\s+(?!\\\\)(?:"([^"]*)"|(\S+))/i', $instruction, $m);
            preg_match('/\\\\l\s+"([^"]*)"/', $instruction, $place);
            $address = ($m[1] ?? '') . ($m[2] ?? '') . (isset($place[1]) ? "#{$place[1]}" : '');
        }

        return ['name' => $name, 'isHidden' => \in_array($name, self::HIDDEN, true), 'address' => $address];
    }
}
