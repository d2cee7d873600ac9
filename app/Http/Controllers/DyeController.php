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
    public function __invoke(Request $request): JsonResponse
    {
        try {
            $dye = Dye::of(Given::text($request, 'value'));
        } catch (InvalidValue) {
            return response()->json(['warning' => null]);
        }
        $faint = $dye->faintOn();
        $on = \count($faint) === 2 ? 'on any page' : 'on the ' . array_key_first($faint) . ' page';

        return response()->json([
            'warning'
                => $faint === [] ? null : "Hard to see {$on}: its contrast is " . number_format(min($faint), 1) . ', and 3 is needed.',
        ]);
    }
}
