<?php

declare(strict_types=1);

namespace Embrel\Reader\Csl;

use Embrel\Id\Ids;
use Embrel\Reader\SourcesRead;

/** Sources out of CSL-JSON (the data schema of the Citation Style Language 1.0). */
final class CslReader
{
    public function __construct(private readonly Ids $ids) {}

    public function read(string $text): SourcesRead
    {
        $items = json_decode($text, true, 64);
        if (!\is_array($items)) {
            return new SourcesRead([], ['This is not JSON that can be read: ' . lcfirst(json_last_error_msg()) . '.']);
        }
        $items = array_is_list($items) ? $items : (\is_array($items['items'] ?? null) ? $items['items'] : [$items]);
        $sources = $said = $unknown = [];
        $lines = self::lines($text);
        foreach (array_values($items) as $n => $item) {
            $source = \is_array($item) ? CslItem::source($item, $this->ids->next(), $unknown) : null;
            if ($source === null) {
                $said[]
                    = (isset($lines[$n]) ? "Line {$lines[$n]}" : 'Entry ' . ($n + 1))
                    . ': the entry has neither a title nor an author. This entry was left out.';
            } else {
                $sources[] = $source;
            }
        }

        return SourcesRead::of($sources, $said, $unknown);
    }

    /** @return list<int> the line on which each entry of the outer list begins */
    private static function lines(string $text): array
    {
        $lines = [];
        $depth = 0;
        $line = 1;
        preg_match_all('/"(?:[^"\\\\]|\\\\.)*+"|[\[\]{}\n]|(?<=[\[,\s])(?:null|true|false|-?\d[\d.eE+\-]*)/s', $text, $tokens);
        foreach ($tokens[0] as $token) {
            if ($token === "\n") {
                ++$line;
            } elseif ($token === ']' || $token === '}') {
                --$depth;
            } else {
                if ($depth === 1) {
                    $lines[] = $line;
                }
                $depth += $token === '[' || $token === '{' ? 1 : 0;
            }
        }

        return $lines;
    }
}
