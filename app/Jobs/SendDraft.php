<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Mail\HandedOverLetter;
use App\Models\Plan;
use App\Models\Sending;
use App\Models\Task;
use App\Models\User;
use App\Store\Links;
use App\Store\WorkFolder;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;

/** Makes the file of a plan and sends it, or a link to it, in a letter to each address; what could not be sent is said. */
final readonly class SendDraft implements Work
{
    public function __construct(private DraftFile $file) {}

    public function run(Task $task, User $user): array
    {
        $id = $task->given['sending'] ?? '';
        $sending = Sending::query()->with('plan')->whereKey(\is_string($id) ? $id : '')->first();
        if ($sending === null) {
            return [];
        }
        $plan = $sending->plan;
        if ($plan === null || Gate::forUser($user)->denies('view', $plan)) {
            throw $sending->failed('The plan is not yours to hand over any more.');
        }
        try {
            WorkFolder::with(fn(string $folder) => $this->send($task, $sending, $plan, $user, "{$folder}/file"));
        } catch (\Throwable $why) {
            report($why);
            throw $sending->failed('The file could not be made. Nothing was sent; try again.');
        }

        return [];
    }

    private function send(Task $task, Sending $sending, Plan $plan, User $user, string $path): void
    {
        $made = $this->file->write($task, $plan, $user, $sending->choices, $path);
        $size = (int) filesize($path);
        $isTooLarge = !$sending->is_link && $size > (int) config('embrel.letter_bytes');
        $end = $sending->is_link || $isTooLarge ? Links::end() : null;
        $sending->update($made + [
            'size' => $size,
            'is_link' => $end !== null,
            'token' => $end === null ? null : hash('sha256', $end),
        ]);
        if ($end !== null) {
            $in = fopen($path, 'r') ?: throw new \RuntimeException('The file cannot be read.');
            Storage::disk(Sending::DISK)->writeStream($sending->id, $in);
            fclose($in);
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
