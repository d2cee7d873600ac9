<?php

declare(strict_types=1);

namespace Embrel\Language\Stems;

/** Of a language whose rules are not here: a word is its own stem. */
final class NoStemmer extends Stemmer
{
    protected function shortened(string $word): string
    {
        return $word;
    }
}
