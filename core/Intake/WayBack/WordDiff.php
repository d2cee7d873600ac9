<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\RichText\LongestCommon;

/** Which words went and which came between two texts: the longest row of them that both have stays. */
final class WordDiff
{
    /** Of the table; beyond that the middle is said to be another text as a whole. */
    private const MOST = 2_000_000;

    /** @return list<array{string, string}> `=`, `-` or `+`, and the words with their spaces */
    public static function between(string $before, string $after): array
    {
        [$old, $new] = [self::pieces($before), self::pieces($after)];
        $out = [];
        [$i, $k] = [0, 0];
        foreach (LongestCommon::of($old, $new, self::MOST) + [\count($old) => \count($new)] as $sameOld => $sameNew) {
            $out[] = ['-', implode('', \array_slice($old, $i, $sameOld - $i))];
            $out[] = ['+', implode('', \array_slice($new, $k, $sameNew - $k))];
            $out[] = ['=', $old[$sameOld] ?? ''];
            [$i, $k] = [$sameOld + 1, $sameNew + 1];
        }

        return self::joined($out);
    }

    /** @return list<string> words, each with the white space behind it */
    private static function pieces(string $text): array
    {
        preg_match_all('/\S+\s*|\A\s+/u', $text, $m);

        return $m[0];
    }

    /**
     * @param list<array{string, string}> $pieces
     *
     * @return list<array{string, string}>
     */
    private static function joined(array $pieces): array
    {
        $out = [];
        $run = ['=', ''];
        foreach ($pieces as [$sign, $text]) {
            if ($sign !== $run[0] && $text !== '') {
                $run[1] === '' ? null : $out[] = $run;
                $run = [$sign, ''];
            }
            $run[1] .= $text;
        }
        $run[1] === '' ? null : $out[] = $run;

        return $out;
    }
}
