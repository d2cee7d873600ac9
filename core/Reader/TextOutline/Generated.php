<?php

declare(strict_types=1);

namespace Embrel\Reader\TextOutline;

use Embrel\Reader\Markdown\MarkdownReader;
use Embrel\Reader\Markdown\PlainLine;

/**
 * An outline as programs that write text give it, turned into the one that was meant: without the sentences around it,
 * without fences, marks, typed numbers and words such as “Main branch:”; titles that are bold or headings stand above what
 * follows them, lists by how far they are set in, explanations in notes.
 */
final class Generated
{
    private const BEFORE
        = '/\A(?:here(?:’s|\'s| is| are)|sure|certainly|of course|absolutely|below is|great|hier (?:ist|sind)'
        . '|gern|natürlich|klar|selbstverständlich)\b/iu';
    private const AFTER
        = '/\A(?:let me know|would you like|do you want|feel free|hope this|i hope|if you(?:’d|\'d| would| want'
        . '| like)|this (?:outline|structure|map)|lass(?:en sie)? mich|möchte[nst]|sag(?:en sie)? bescheid'
        . '|ich hoffe|wenn (?:du|sie)|diese gliederung)\b/iu';
    private const FENCE = '/^[ \t]*(`{3,}|~{3,})[^\n]*\n(.*?)^[ \t]*\1[ \t]*$/ms';
    /** What the first of all is called, and what others are. */
    private const ROOT
        = 'cent(?:ral|er|re) (?:topic|idea|theme|node|concept)|(?:main|core) (?:topic|idea|theme|title)'
        . '|root(?: node)?|zentrale[rs]? (?:thema|idee|begriff)|hauptthema|wurzel';
    private const BRANCH
        = '(?:(?:main|sub|side)[- ]?)?branch|(?:sub|child)[- ]?(?:topic|node|point|section)|(?:haupt|neben'
        . '|unter)?(?:ast|zweig)|unter(?:thema|punkt)|(?:main|key) point';
    private const LABEL = '/\A(?:(?<root>' . self::ROOT . ')|(?<branch>' . self::BRANCH . '))'
        . '(?:\s+(?:\d{1,3}|[A-Z]|[IVX]{1,5}))?(?:\s*:|\s[–—-]\s)\s*/iu';
    private const MARKED = '/\A\s*(?:#{1,6}\s|[-*+•]\s|\d+[.)]\s|[│├└])/u';
    private const LEAD = '/\A(?:\*\*|__)(.+?)(:?)(?:\*\*|__)\s*(:|–|—|-\s)?\s*(.*)\z/us';
    /** Those that stand under others that are called branches. */
    private const BELOW = '/\A(?:sub|child|side|neben|unter)/iu';
    private const NUMBER = '/\A(?:(?<deep>\d{1,3}(?:\.\d{1,3})+)\.?|\(?(?<form>\d{1,3}|[ivx]{1,5}|[a-z])[.)])\s+(?=\S)/iu';
    private const TICK = '/\A\[[ xX]\]\s+(?=\S)/u';
    private const TREE = '/\A[\s│|]*(?:[├└]─*|[│|]\s+)\s*/u';
    private const BOLD = '/\A(?:\*\*|__)(.+?)(?:\*\*|__):?\z/u';
    private const HEADING = '/\A(#{1,6})\s+(.+?)\s*#*\z/u';
    private const RULE = '/\A(?:[-*_=]\s*){3,}\z/u';

    /** @var array<string, string> line → its words alone: each is asked for several times */
    private array $plain = [];

    /**
     * @return string|null indented by tabs, a topic a line, notes behind a bar, as TextReader reads it; null where
     *                     the text does not look as if a program had written it
     */
    public static function outline(string $text): ?string
    {
        return (new self(MarkdownReader::plainLines()))->meant($text);
    }

    private function __construct(private readonly PlainLine $lines) {}

    private function meant(string $text): ?string
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        $within = $this->fenced($text);
        $lines = $this->lines($within ?? $text);
        if (!$this->looksSo($text, $lines, $within !== null)) {
            return null;
        }
        $topics = $this->topics($lines);

        return \count($topics) < 2 ? null : $this->written($topics);
    }

    /** What stands in a fence, where that is an outline. */
    private function fenced(string $text): ?string
    {
        if (preg_match_all(self::FENCE, "{$text}\n", $found) !== 1) {
            return null;
        }
        $lines = array_filter(explode("\n", $found[2][0]), static fn(string $line): bool => trim($line) !== '');
        $marked = array_filter($lines, static fn(string $line): bool => preg_match(self::MARKED, $line) === 1);
        $outside = trim((string) preg_replace(self::FENCE, '', "{$text}\n"));

        // Beside a fence amid a longer text, that text is what was meant.
        return \count($marked) >= 2 && \count($marked) * 2 >= \count($lines) && substr_count($outside, "\n") < 6 ? $found[2][0] : null;
    }

    /**
     * @return list<array{column: int, kind: string, form: string, text: string}> kind: heading, deep, tree, number, bullet, bold or
     *     text; form: the marks of a heading, how a number is written
     */
    private function lines(string $text): array
    {
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            [$indent, $column, $line] = [Line::indent($line), Line::column($line), trim($line)];
            if ($line === '' || preg_match(self::RULE, $line) === 1) {
                continue;
            }
            $lines[] = $this->line($column, $line, $indent . $line);
        }
        // What a drawn tree grows from has no line before it.
        foreach ($lines as $i => $line) {
            if ($line['kind'] === 'text' && ($lines[$i + 1]['kind'] ?? '') === 'tree') {
                $lines[$i] = ['kind' => 'tree', 'column' => 0] + $line;
            }
        }

        return $lines;
    }

    /** @return array{column: int, kind: string, form: string, text: string} */
    private function line(int $column, string $line, string $whole): array
    {
        if (preg_match(self::HEADING, $line, $m) === 1) {
            return ['column' => \strlen($m[1]), 'kind' => 'heading', 'form' => $m[1], 'text' => $m[2]];
        }
        if (preg_match(self::TREE, $whole, $m) === 1 && preg_match('/[├└│]/u', $m[0]) === 1) {
            return ['column' => mb_strlen($m[0]), 'kind' => 'tree', 'form' => '', 'text' => mb_substr($whole, mb_strlen($m[0]))];
        }
        $bare = (string) preg_replace('/\A(?:\*\*|__)(?=\S)/u', '', $line);
        if (preg_match(self::NUMBER, $bare, $m) === 1) {
            $marks = \strlen($line) - \strlen($bare);
            $deep = $m['deep'];
            $form = $m['form'] ?? '';

            return [
                'column' => $deep === '' ? $column : substr_count($deep, '.') + 1,
                'kind' => $deep === '' ? 'number' : 'deep',
                'form' => match (true) {
                    ctype_digit($form) => '1',
                    preg_match('/\A[ivx]+\z/', $form) === 1 => $form === 'i' || \strlen($form) > 1 ? 'i' : 'a',
                    preg_match('/\A[IVX]+\z/', $form) === 1 => 'I',
                    default => ctype_upper($form) ? 'A' : 'a',
                },
                'text' => str_repeat('*', $marks) . substr($bare, \strlen($m[0])),
            ];
        }
        $item = preg_replace(Line::BULLET, '', $line) ?? $line;
        if ($item !== $line) {
            return ['column' => $column, 'kind' => 'bullet', 'form' => '', 'text' => preg_replace(self::TICK, '', $item) ?? $item];
        }

        return preg_match(self::BOLD, $line) === 1 || preg_match(self::LABEL, $this->plain($line)) === 1
            ? ['column' => $column, 'kind' => 'bold', 'form' => '', 'text' => $line]
            : ['column' => $column, 'kind' => 'text', 'form' => '', 'text' => $line];
    }

    /** @param list<array{column: int, kind: string, form: string, text: string}> $lines */
    private function looksSo(string $text, array $lines, bool $isFenced): bool
    {
        $kinds = array_count_values(array_column($lines, 'kind'));
        $labels = array_filter($lines, fn(array $line): bool => preg_match(self::LABEL, $this->plain($line['text'])) === 1);
        $bold = array_filter($lines, static fn(array $line): bool => preg_match('/\A(?:\*\*|__)\S/u', $line['text']) === 1);
        $listed = ($kinds['bullet'] ?? 0) + ($kinds['number'] ?? 0) + ($kinds['tree'] ?? 0) + ($kinds['deep'] ?? 0);
        $all = array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn(string $line): bool => $line !== ''));
        $isSpoken = $all !== []
            && (preg_match(self::BEFORE, $all[0]) === 1 || preg_match(self::AFTER, $all[\count($all) - 1]) === 1);
        $isOutline = $listed + ($kinds['heading'] ?? 0) + ($kinds['bold'] ?? 0) >= max(2, ($kinds['text'] ?? 0));

        return $isOutline && ($isFenced || \count($labels) >= 2 || ($kinds['tree'] ?? 0) >= 2
            || ($isSpoken && $listed >= 2) || (\count($bold) >= 2 && $listed >= 2));
    }

    /**
     * @param list<array{column: int, kind: string, form: string, text: string}> $lines
     *
     * @return list<array{level: int, title: string, notes: list<string>}>
     */
    private function topics(array $lines): array
    {
        $ranks = $this->ranks($lines);
        /** @var list<array{level: int, title: string, notes: list<string>}> $topics */
        $topics = [];
        $open = [];
        $hasRoot = false;
        foreach ($lines as $i => $line) {
            if ($line['kind'] === 'text') {
                $last = array_pop($topics);
                if ($last !== null) {
                    // Where nothing stands above it yet, and at the end, it speaks to the writer, not in the outline.
                    $isAround = preg_match(self::AFTER, $line['text']) === 1;
                    $topics[] = $isAround ? $last : ['notes' => [...$last['notes'], $this->plain($line['text'])]] + $last;
                }
                continue;
            }
            [$title, $note, $isRoot] = $this->titled($line['text']);
            if ($title === '') {
                continue;
            }
            if ($isRoot && $topics === []) {
                $hasRoot = true;
                $topics[] = ['level' => 0, 'title' => $title, 'notes' => $note === '' ? [] : [$note]];
                continue;
            }
            while ($open !== [] && $open[\count($open) - 1] >= $ranks[$i]) {
                array_pop($open);
            }
            $topics[] = [
                'level' => \count($open) + ($hasRoot ? 1 : 0),
                'title' => $title,
                'notes' => $note === '' ? [] : [$note],
            ];
            $open[] = $ranks[$i];
        }

        return $topics;
    }

    /**
     * What stands above what: headings, then bold lines, then lists by how far they are set in. Where nothing is, numbers
     * by how they are written, in the order in which these forms begin; bullets below the numbers of their column.
     *
     * @param list<array{column: int, kind: string, form: string, text: string}> $lines
     *
     * @return list<float>
     */
    private function ranks(array $lines): array
    {
        $numbered = array_filter($lines, static fn(array $line): bool => $line['kind'] === 'number');
        $isFlat = \count(array_unique(array_column($numbered, 'column'))) === 1;
        $forms = $isFlat ? array_flip(array_values(array_unique(array_column($numbered, 'form')))) : [];
        $columns = array_flip(array_column($numbered, 'column'));
        $hasDeep = \in_array('deep', array_column($lines, 'kind'), true);

        return array_map(fn(array $line): float => match ($line['kind']) {
            'heading' => (float) $line['column'],
            'bold' => 10.0 + $line['column'] / 1000 + (preg_match(self::BELOW, $this->plain($line['text'])) === 1 ? 0.5 : 0.0),
            'deep' => 20.0 + $line['column'],
            'number' => $hasDeep && $line['form'] === '1' ? 21.0 : 100.0 + $line['column'] + ($forms[$line['form']] ?? 0) * 0.1,
            'bullet' => 100.0 + $line['column'] + (isset($columns[$line['column']]) ? 0.9 : 0.0),
            default => 100.0 + $line['column'],
        }, $lines);
    }

    /** @return array{string, string, bool} a title, what explains it, and whether it is called the first of all */
    private function titled(string $text): array
    {
        $note = '';
        // What is bold at the start of a line, before a colon or a dash, is its title.
        if (preg_match(self::LEAD, $text, $m) === 1 && ($m[2] !== '' || $m[3] !== '') && $m[4] !== '') {
            $isLabel = preg_match(self::LABEL, $this->plain($m[1]) . ': ') === 1;
            [$text, $note] = $isLabel ? [$this->plain($m[1]) . ': ' . $m[4], ''] : [$m[1], $this->plain($m[4])];
        }
        $title = $this->plain($text);
        $isRoot = preg_match(self::LABEL, $title, $m) === 1 && $m['root'] !== '';
        foreach ([self::LABEL, self::NUMBER, '/\s*:\z/u'] as $form) {
            $title = preg_replace($form, '', $title) ?? $title;
        }

        return [trim($title), $note, $isRoot];
    }

    /** Without marks, addresses, and pictures at the start that only decorate. */
    private function plain(string $text): string
    {
        if (isset($this->plain[$text])) {
            return $this->plain[$text];
        }
        $words = $this->lines->of($text);
        // One that is opened at the start and never closed, as where a title is longer than its bold part.
        $words = preg_replace('/\A(?:\*\*|__)(?!.*(?:\*\*|__))/u', '', $words) ?? $words;
        $words = preg_replace('/\A(?:[\p{So}\x{1F3FB}-\x{1F3FF}\x{FE0F}\x{200D}]+\s*)+/u', '', $words) ?? $words;

        return $this->plain[$text] = trim($words);
    }

    /** @param list<array{level: int, title: string, notes: list<string>}> $topics */
    private function written(array $topics): string
    {
        $out = '';
        foreach ($topics as ['level' => $level, 'title' => $title, 'notes' => $notes]) {
            $out .= str_repeat("\t", $level) . $title . "\n";
            foreach ($notes as $note) {
                $out .= str_repeat("\t", $level + 1) . "| {$note}\n";
            }
        }

        return $out;
    }
}
