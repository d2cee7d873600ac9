<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The size of the paper, which only a style sheet can tell a printer. */
final class SheetStyleController
{
    public function __invoke(Request $request): Response
    {
        $given = $request->validate([
            'width' => ['required', 'numeric', 'between:50,2000'],
            'height' => ['required', 'numeric', 'between:50,2000'],
        ]);

        return response('@page { size: ' . (float) $given['width'] . 'mm ' . (float) $given['height'] . "mm; margin: 0; }\n", 200, [
            'Content-Type' => 'text/css',
        ]);
    }
}
