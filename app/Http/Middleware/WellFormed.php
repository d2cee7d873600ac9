<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\BodySize;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses what no page of ours sends, before anything else looks at it: too much, bytes that are no text, NUL. */
final class WellFormed
{
    public const TOO_LARGE = 'EMBREL_TOO_LARGE';

    public function handle(Request $request, Closure $next): Response
    {
        if (
            $request->server->getBoolean(self::TOO_LARGE)
            || BodySize::isTooLarge($request->server)
            || ($request->isJson() && \strlen($request->getContent()) > BodySize::limit($request->server))
        ) {
            abort(413, 'This is more than can be sent at once (2 MB). Nothing was changed. Take a long text in as a file instead.');
        }
        $form = $request->isJson() ? [] : $request->request->all();
        // Pasted text may have anything in it: there the core takes out what no file can hold.
        $isWell
            = self::isText([rawurldecode($request->server->getString('REQUEST_URI')), $request->query->all()], true)
            && self::isText($form, !str_starts_with((string) $request->headers->get('Content-Type'), 'multipart/form-data'));
        $isWell || abort(400, 'This cannot be read: it is not text in UTF-8.');

        return $next($request);
    }

    private static function isText(mixed $given, bool $withoutNul): bool
    {
        if (\is_array($given)) {
            foreach ($given as $name => $value) {
                if (!self::isText($name, $withoutNul) || !self::isText($value, $withoutNul)) {
                    return false;
                }
            }

            return true;
        }

        return !\is_string($given) || (mb_check_encoding($given, 'UTF-8') && !($withoutNul && str_contains($given, "\0")));
    }
}
