<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\SignIn\NotVouchedFor;
use App\Store\NotThere;
use App\Store\OverQuota;
use App\Store\TooMuch;
use Aws\Exception\AwsException;
use Embrel\Operation\MalformedOperation;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Predis\PredisException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** What the core refuses, as an answer to the person who asked. */
final class Answers
{
    /** In seconds: so soon it may be asked again. */
    private const AGAIN = 3;
    private const AWAY = 'Embrel is away for a moment. What you wrote waits here and is sent as soon as it is back.';
    /**
     * Errors of MariaDB: too many connections, shutting down, out of disk, read only, no connection, lost ones, killed.
     */
    private const OF_THE_SERVER = [1021, 1040, 1053, 1114, 1226, 1290, 1836, 1927, 2002, 2003, 2006, 2013, 2026, 2055, 4031];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(
            [OverQuota::class, NotVouchedFor::class, OperationRefused::class, MalformedOperation::class, Unreadable::class],
        );
        $exceptions->map(NotThere::class, static fn(NotThere $why): NotFoundHttpException => new NotFoundHttpException('', $why));
        $exceptions->map(
            TooMuch::class,
            static fn(TooMuch $why): TooManyRequestsHttpException => new TooManyRequestsHttpException(null, $why->getMessage(), $why),
        );
        $exceptions->report(self::told(...))->stop();
        $exceptions->render(static fn(\Throwable $why, Request $request): ?Response => self::isAway($why)
            ? app(ExceptionHandler::class)->render($request, new ServiceUnavailableHttpException(self::AGAIN, self::AWAY, $why))
            : null);
        $exceptions->render(static fn(MalformedOperation $why): JsonResponse => response()->json(['message' => $why->getMessage()], 422));
        // From wherever a plan was to come: there the list says what is to be done.
        $exceptions->render(
            static fn(OverQuota $why, Request $request): JsonResponse|RedirectResponse => $request->expectsJson()
                ? response()->json(['message' => $why->getMessage()], 422)
                : redirect()->route('plans')->withErrors(['plans' => $why->getMessage()]),
        );
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
     * Where a part of the whole does not answer (database, store, Redis), which is so for a moment as a rule: whoever asks is told to come
     * again, and pages do so by themselves.
     */
    private static function isAway(\Throwable $why): bool
    {
        for ($at = $why instanceof HttpExceptionInterface ? null : $why; $at !== null; $at = $at->getPrevious()) {
            $isAway = match (true) {
                $at instanceof PredisException => true,
                $at instanceof AwsException => $at->isConnectionError() || (int) $at->getStatusCode() >= 500,
                $at instanceof \PDOException => self::isOfTheServer($at),
                default => false,
            };
            if ($isAway) {
                return true;
            }
        }

        return false;
    }

    /** Whether the database did not answer, or may not write just now; not that it was asked for something wrong. */
    private static function isOfTheServer(\PDOException $why): bool
    {
        $number = \is_array($why->errorInfo) ? (int) ($why->errorInfo[1] ?? 0) : (int) $why->getCode();

        // Where it went away amid a transaction, PDO knows of none when that is to be ended.
        return \in_array($number, self::OF_THE_SERVER, true)
            || (new LostConnectionDetector())->causedByLostConnection($why)
            || str_contains($why->getMessage(), 'no active transaction');
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
