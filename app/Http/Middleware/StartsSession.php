<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * Starts the session as is usual, and writes it only where it has become another one: an open page asks every few seconds,
 * and to write what is there already costs as much as most of its answers.
 */
final class StartsSession extends StartSession
{
    private const STARTED = 'session as it was started';

    protected function startSession(Request $request, $session)
    {
        $session = parent::startSession($request, $session);
        $request->attributes->set(self::STARTED, $session->all());

        return $session;
    }

    /** What a script of a page asks for is no page that one goes back to. */
    protected function storeCurrentUrl(Request $request, $session)
    {
        if (!$request->expectsJson()) {
            parent::storeCurrentUrl($request, $session);
        }
    }

    protected function saveSession($request)
    {
        $session = $request->session();
        // What is said on the next page alone grows older with each that is written.
        $isToBeSaid = array_filter((array) $session->get('_flash')) !== [];
        if ($isToBeSaid || $session->all() !== $request->attributes->get(self::STARTED)) {
            parent::saveSession($request);
        }
    }
}
