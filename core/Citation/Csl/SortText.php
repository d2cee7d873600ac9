<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\NameForm;
use Embrel\Citation\Csl\Element\NameWriting;

/** What an item is sorted by: no tags, no quotation marks, names turned, dates as digits. */
final class SortText
{
    public static function of(Key $key, Printing $printing): string
    {
        $macro = $key->macro($printing->item);
        if ($macro !== null) {
            return self::bare($printing->group($macro, ''));
        }
        $item = $printing->item;
        if (isset($item->names[$key->variable])) {
            $form = new NameForm(['name-as-sort-order' => 'all'], []);
            $names = [];
            foreach ($item->names[$key->variable] as $i => $name) {
                $names[] = (new NameWriting($name, $form, $printing, $i === 0, 0))->text();
            }

            return self::bare(implode(', ', $names));
        }
        if (isset($item->dates[$key->variable])) {
            return $item->dates[$key->variable]->digits();
        }

        return self::bare($printing->text($key->variable));
    }

    private static function bare(string $text): string
    {
        if (preg_match('/\A[A-Za-z0-9 ]*\z/', $text) === 1) {
            return trim($text);
        }

        return trim((string) preg_replace('/[^\P{P}&]/u', '', Flat::plain($text)));
    }
}
