<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\SignIn\Entrance;
use App\Store\Devices;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session ends with the browser, or a day after its last use; where a person wants it to stay, it stays for 30 days from then. */
final class StaysSignedIn
{
    private const DAY = 86_400;
    /** Where a session of someone signed in keeps whether it is to stay, and when it was used last. */
    public const STAYS = 'stays';
    private const USED = 'used_at';
    /** In seconds: so exact is it kept when a session was used last. */
    private const EXACT = 60;
    /** The session as it is in the list of where one is signed in. */
    private const LISTED = 'listed';

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        $used = $session->get(self::USED);
        $user = Auth::user();
        if ($user instanceof User && $user->closed_at !== null) {
            Auth::logout();
            $session->invalidate();

            return $request->expectsJson() ? abort(401) : redirect()->route('login')->withErrors(['email' => Entrance::CLOSED]);
        }
        if ($session->get(self::STAYS) === false && \is_int($used) && $used < now()->getTimestamp() - self::DAY) {
            Auth::logout();
            $session->invalidate();
        }
        $isDue = !\is_int($used) || $used < now()->getTimestamp() - self::EXACT;
        if ($isDue) {
            $session->put(self::USED, now()->getTimestamp());
        }
        $response = $next($request);
        $user = Auth::user();
        if ($user instanceof User && Devices::areListedApart() && ($isDue || $session->get(self::LISTED) !== $session->getId())) {
            Devices::list($user, $session->getId(), $request);
            $session->put(self::LISTED, $session->getId());
        }
        config(['session.expire_on_close' => $session->get(self::STAYS) !== true]);

        return $response;
    }
}
