<?php

declare(strict_types=1);

namespace App\Http;

use App\Store\WorkFolder;
use Embrel\Draft\Choices;
use Embrel\Fonts\PackagedFonts;
use Embrel\Plan\Plan;
use Embrel\Writer\Html\AloneWriter;
use Illuminate\Http\Response;

/** The page that stands alone, as an answer: with its own policy, and who may set it into a page of theirs. */
final class AlonePage
{
    /** @param string $framers as in `frame-ancestors` of Content Security Policy 3 */
    public static function of(Plan $plan, Choices $choices, bool $plays, string $framers): Response
    {
        $writer = new AloneWriter(PackagedFonts::ofPackages(), $plays);
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        WorkFolder::with(static fn(string $folder): array => $writer->write($plan, $choices, $out, $folder));
        rewind($out);

        return new Response((string) stream_get_contents($out), 200, [
            'Content-Type' => 'text/html; charset=utf-8',
            'Content-Security-Policy' => "{$writer->policy}; frame-ancestors {$framers}",
        ]);
    }
}
