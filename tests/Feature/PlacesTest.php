<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\Places;
use PHPUnit\Framework\TestCase;

/** Fractional keys: whatever is inserted wherever, their byte order is the order asked for. */
final class PlacesTest extends TestCase
{
    public function testRandomInsertionsAndMovesKeepTheOrder(): void
    {
        mt_srand(7);
        $ids = $keys = [];
        for ($i = 0; $i < 1500; ++$i) {
            if ($ids !== [] && mt_rand(0, 3) === 0) {
                [$moved] = array_splice($ids, mt_rand(0, count($ids) - 1), 1);
            } else {
                $moved = "t{$i}";
            }
            array_splice($ids, mt_rand(0, 5) === 0 ? 0 : mt_rand(0, count($ids)), 0, [$moved]);
            $new = Places::for($ids, $keys);
            $keys = $new + $keys;
            if ($i % 50 === 0) {
                $this->assertInOrder($ids, $keys);
            }
        }
        $this->assertInOrder($ids, $keys);
    }

    public function testOnlyWhatMovedGetsANewKey(): void
    {
        $ids = ['a', 'b', 'c', 'd', 'e'];
        $keys = Places::for($ids, []);
        self::assertSame(['b'], array_keys(Places::for(['a', 'c', 'd', 'b', 'e'], $keys)));
        self::assertSame([], Places::for($ids, $keys));
    }

    public function testAlwaysTheSameSpotMakesLongKeysThatAreMadeShortAgain(): void
    {
        $ids = ['first', 'last'];
        $keys = Places::for($ids, []);
        for ($i = 0; $i < 1200; ++$i) {
            array_splice($ids, 1, 0, ["t{$i}"]);
            $keys = Places::for($ids, $keys) + $keys;
        }
        self::assertLessThan(255, max(array_map(strlen(...), $keys)));
        $this->assertInOrder($ids, $keys);
    }

    public function testManyAtOnceBetweenTwoNeighbours(): void
    {
        foreach ([['', ''], ['V', ''], ['', '1'], ['a', 'b'], ['a', 'a0V'], ['az', 'b']] as [$below, $above]) {
            $between = Places::between($below, $above, 500);
            $all = array_filter([$below, ...$between, $above], static fn(string $key): bool => $key !== '');
            $sorted = $all;
            sort($sorted, SORT_STRING);
            self::assertSame(array_values($sorted), array_values($all));
            self::assertCount(count($all), array_unique($all));
        }
    }

    /**
     * @param list<string>          $ids
     * @param array<string, string> $keys
     */
    private function assertInOrder(array $ids, array $keys): void
    {
        foreach ($ids as $i => $id) {
            if ($i > 0) {
                self::assertLessThan(0, strcmp($keys[$ids[$i - 1]], $keys[$id]));
            }
        }
    }
}
