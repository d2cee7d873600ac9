<?php

declare(strict_types=1);

namespace App\Exceptions;

use Embrel\Operation\MalformedOperation;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What the core refuses, as an answer to the person who asked. */
final class Answers
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([OperationRefused::class, MalformedOperation::class, Unreadable::class]);
        $exceptions->render(static fn(MalformedOperation $why): JsonResponse => response()->json(['message' => $why->getMessage()], 422));
        $exceptions->render(static fn(OperationRefused $why): JsonResponse => response()->json(['message' => $why->getMessage(), 'reason' => $why->reason->value], 409));
        $exceptions->render(static fn(Unreadable $why, Request $request): JsonResponse|RedirectResponse => $request->expectsJson()
            ? response()->json(['message' => $why->getMessage()], 422)
            : back()->withInput()->withErrors(['file' => $why->getMessage()]));
    }
}
