<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Store\NotThere;
use App\Store\TooMuch;
use Embrel\Operation\MalformedOperation;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** What the core refuses, as an answer to the person who asked. */
final class Answers
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([OperationRefused::class, MalformedOperation::class, Unreadable::class]);
        $exceptions->map(NotThere::class, static fn(NotThere $why): NotFoundHttpException => new NotFoundHttpException('', $why));
        $exceptions->map(
            TooMuch::class,
            static fn(TooMuch $why): TooManyRequestsHttpException => new TooManyRequestsHttpException(null, $why->getMessage(), $why),
        );
        $exceptions->report(self::told(...))->stop();
        $exceptions->render(static fn(MalformedOperation $why): JsonResponse => response()->json(['message' => $why->getMessage()], 422));
        $exceptions->render(
            static fn(OperationRefused $why): JsonResponse => response()->json(
                ['message' => $why->getMessage(), 'reason' => $why->reason->value],
                409,
            ),
        );
        $exceptions->render(
            static fn(Unreadable $why, Request $request): JsonResponse|RedirectResponse => $request->expectsJson()
                ? response()->json(['message' => $why->getMessage()], 422)
                : back()
                    ->withInput()
                    ->withErrors(['file' => $why->getMessage()]),
        );
    }

    /**
     * What went wrong, for the log: where, and in what, and nothing of what anybody wrote. What the
     * database says quotes the values that it was given, so of that only the statement without them is kept.
     */
    private static function told(\Throwable $why): void
    {
        $chain = [];
        for ($at = $why; $at !== null; $at = $at->getPrevious()) {
            $says = match (true) {
                $at instanceof QueryException => "{$at->getCode()} in " . Str::limit($at->getSql(), 500),
                $at instanceof \PDOException => (string) $at->getCode(),
                default => $at->getMessage(),
            };
            $chain[] = $at::class . ": {$says} at {$at->getFile()}:{$at->getLine()}";
        }
        $trace = array_map(
            static fn(array $step): string => ($step['file'] ?? '')
                . ':'
                . ($step['line'] ?? '')
                . ' '
                . ($step['class'] ?? '')
                . '::'
                . $step['function'],
            \array_slice($why->getTrace(), 0, 25),
        );
        Log::error(implode("\n  because of ", $chain) . "\n    " . implode("\n    ", $trace));
    }
}
