<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Requests\HandOverRequest;
use App\Mail\HandedOverLetter;
use App\Models\Plan;
use App\Models\Sending;
use App\Models\User;
use App\Store\HandedOver;
use App\Store\Links;
use App\Store\PlanStore;
use App\Store\WorkFolder;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;

/** Makes the file of a plan and sends it, or a link to it, in a letter to each address; what could not be sent is said. */
final class SendHandOver implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;
    public int $timeout = 900;

    public function __construct(private readonly string $sending) {}

    public function handle(PlanStore $store): void
    {
        $sending = Sending::query()->with(['plan', 'user'])->find($this->sending);
        if ($sending === null || $sending->state !== 'waiting') {
            return;
        }
        [$plan, $user] = [$sending->plan, $sending->user];
        if ($plan === null || $user === null || Gate::forUser($user)->denies('view', $plan)) {
            $sending->update(['state' => 'failed', 'says' => 'The plan is not yours to hand over any more.']);

            return;
        }
        try {
            WorkFolder::with(fn(string $folder) => $this->send($sending, $plan, $user, $store, $folder));
        } catch (\Throwable $why) {
            report($why);
            $sending->update(['state' => 'failed', 'says' => 'The file could not be made. Nothing was sent; try again.']);
        }
    }

    private function send(Sending $sending, Plan $plan, User $user, PlanStore $store, string $folder): void
    {
        $tree = $store->load($plan, true);
        $request = HandOverRequest::ofTask($plan, $user, $sending->choices);
        $choices = $request->choices($tree);
        $format = $request->writing()->coming($tree, $choices);
        $path = "{$folder}/file";
        $out = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
        HandedOver::write($tree, $choices, $format, $out);
        fclose($out);
        $size = (int) filesize($path);
        $isTooLarge = !$sending->is_link && $size > (int) config('embrel.letter_bytes');
        $end = $sending->is_link || $isTooLarge ? Links::end() : null;
        $sending->update([
            'name' => HandedOver::name($tree, $choices, $format),
            'type' => $format->mediaType(),
            'size' => $size,
            'is_link' => $end !== null,
            'token' => $end === null ? null : hash('sha256', $end),
        ]);
        if ($end !== null) {
            $in = fopen($path, 'r') ?: throw new \RuntimeException('The file cannot be read.');
            Storage::disk(Sending::DISK)->writeStream($sending->id, $in);
        }
        $refused = [];
        foreach ($sending->addresses as $address) {
            try {
                Mail::to($address)->send(new HandedOverLetter($sending, $plan->title, $end, $end === null ? $path : null));
            } catch (\Throwable $why) {
                report($why);
                $refused[] = $address;
            }
        }
        $sending->update([
            'state' => \count($refused) === \count($sending->addresses) ? 'failed' : 'sent',
            'says' => mb_strcut(trim(
                ($isTooLarge ? 'The file was too large for a letter, so a link went out. ' : '')
                    . ($refused === [] ? '' : 'The post did not take the letter to ' . implode(', ', $refused) . '.'),
            ), 0, 500),
        ]);
    }
}
