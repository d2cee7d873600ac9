<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Plan\Sign;
use Embrel\Plan\Size;
use Embrel\Plan\Topic;

/** Plans at random, the same for the same seed: shallow and deep, wide and narrow, with titles of many scripts. */
final class Trees
{
    private const TITLES = [
        'Tides',
        'Why the marsh matters',
        'A nursery for bass and mullet',
        '',
        '1887',
        'Œuvres & “quoted” words — and more',
        'Donaudampfschifffahrtselektrizitätenhauptbetriebswerkbauunterbeamtengesellschaft',
        '盐沼在堤坝之前，以及失去的东西',
        '塩性湿地の植物と鳥',
        'ما الذي ضاع عندما بُني السد',
        'מה אבד כשנבנה הסכר',
        'Mixed ‏עברית‎ and English',
        '🌊🦆 birds 👩‍👩‍👧',
        'Łódź, Århus, Ærø, Đakovo',
        'कच्छ का रण',
        'Половодье',
    ];

    public static function random(int $seed, int $most = 40): Plan
    {
        mt_srand($seed);
        $edit = new Edit(Plan::titled(self::TITLES[$seed % \count(self::TITLES)]));
        $open = [Plan::ROOT];
        $going = mt_rand(0, 4);
        $count = mt_rand(1, $most);
        for ($n = 1; $n <= $count; ++$n) {
            while (\count($open) > 1 && mt_rand(0, 5) < $going) {
                array_pop($open);
            }
            $id = Build::ulid($n);
            $edit->append(self::topic($id, $n), $open[\count($open) - 1]);
            if (\count($open) < 12) {
                $open[] = $id;
            }
        }

        return $edit->done();
    }

    private static function topic(string $id, int $n): Topic
    {
        $title = self::TITLES[mt_rand(0, \count(self::TITLES) - 1)];
        for ($more = mt_rand(0, 8); $more > 6; --$more) {
            $title .= ' ' . self::TITLES[mt_rand(0, \count(self::TITLES) - 1)];
        }
        $topic = new Topic($id, $title, mt_rand(0, 4) > 0 ? Kind::Section : Kind::cases()[mt_rand(0, 3)]);
        $noted = mt_rand(0, 2) === 0;

        $picture
            = mt_rand(0, 11) === 0
                ? Picture::of(str_repeat('0f', 32) . ':' . mt_rand(1, 900) . 'x' . mt_rand(1, 900) . '@' . mt_rand(24, 300))
                : null;

        return $topic->with([
            'picture' => $picture,
            'size' => mt_rand(0, 9) === 0 ? Size::cases()[mt_rand(0, 2)] : null,
            'labels' => mt_rand(0, 5) === 0 ? ['archive', 'field'] : [],
            'sign' => $n % 9 === 4 ? Sign::of('anchor') : null,
            'flag' => mt_rand(0, 4) === 0 ? Flag::cases()[mt_rand(0, 7)] : null,
            'dye' => mt_rand(0, 6) === 0 ? Dye::of(Dye::NAMES[$n % 8]) : null,
            'noted' => $noted,
            'words' => $noted ? mt_rand(0, 4000) : 0,
        ]);
    }
}
