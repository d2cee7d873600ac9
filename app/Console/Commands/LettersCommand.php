<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Notifications\Said;
use App\Store\Notices;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Sends the letter of the day to whom it is morning: all that was said and not seen, in one. */
final class LettersCommand extends Command
{
    /** The hour of their own day in which people are written to. */
    private const HOUR = 7;

    protected $signature = 'embrel:letters {--now : To all, whatever the hour}';
    protected $description = 'Send the letters of the day about what was said';

    public function handle(): int
    {
        $waiting = DB::table('notices')->whereNull('seen_at')->whereNull('mailed_at')->distinct()->pluck('user_id');
        /** @var User $user */
        foreach (User::query()->whereIn('id', $waiting)->lazyById() as $user) {
            $isMorning = (int) now($user->time_zone)->format('G') === self::HOUR;
            if (($isMorning || $this->option('now')) && Notices::forLetter($user) !== []) {
                $user->notify(new Said(null));
            }
        }

        return self::SUCCESS;
    }
}
