<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Models\Sending;
use App\Store\Sendings;
use Symfony\Component\HttpFoundation\Response;

/** A file that somebody was sent a link to. It needs no account, and no search engine is to keep it. */
final class SentController
{
    private const UNLISTED = 'noindex, nofollow, noarchive';

    public function show(string $end): Response
    {
        $sending = Sendings::find($end) ?? abort(404);

        return response()->view('sent', ['sending' => $sending, 'end' => $end])->header('X-Robots-Tag', self::UNLISTED);
    }

    public function file(string $end): Response
    {
        $sending = Sendings::find($end) ?? abort(404);
        $answer = Download::of(Sending::DISK, $sending->id, $sending->name, $sending->type);
        $answer->headers->set('X-Robots-Tag', self::UNLISTED);

        return $answer;
    }
}
