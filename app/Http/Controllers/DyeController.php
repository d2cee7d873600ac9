<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use Embrel\Plan\Dye;
use Embrel\Plan\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Whether a colour that a writer is about to pick can be told from the page, by day and by night. */
final class DyeController
{
    private const ENOUGH = 3.0;
    private const GROUNDS = ['light' => '#F1F0F4', 'dark' => '#1A1620'];

    public function __invoke(Request $request): JsonResponse
    {
        try {
            $dye = Dye::of(Given::text($request, 'value'));
        } catch (InvalidValue) {
            return response()->json(['warning' => null]);
        }
        $contrast = array_map($dye->contrast(...), self::GROUNDS);
        $faint = array_keys(array_filter($contrast, static fn(float $ratio): bool => $ratio < self::ENOUGH));
        $on = \count($faint) === 2 ? 'on any page' : 'on the ' . implode('', $faint) . ' page';

        return response()->json(['warning' => $faint === [] ? null : "Hard to see {$on}: its contrast is " . number_format($contrast[$faint[0]], 1) . ', and 3 is needed.']);
    }
}
