<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Rules\Address;
use App\Store\WholeAccount;
use Embrel\Reader\Unreadable;
use Illuminate\Console\Command;

/** Takes in all that somebody had on another Embrel, out of a zip of any size. */
final class TakeInCommand extends Command
{
    protected $signature = 'embrel:take-in {email : of the account that it comes to} {file : the zip of “Everything of yours”}';
    protected $description = 'Take in all that somebody had on another Embrel';

    public function handle(WholeAccount $whole): int
    {
        [$email, $file] = [$this->argument('email'), $this->argument('file')];
        $user = User::query()->where('email', Address::spelt(\is_string($email) ? $email : ''))->first();
        if ($user === null || !\is_string($file) || !is_file($file)) {
            $this->error($user === null ? 'There is no account of this address.' : 'There is no such file.');

            return self::FAILURE;
        }
        try {
            $taken = $whole->read($user, $file);
        } catch (Unreadable $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }
        array_map($this->warn(...), $taken['said']);
        $this->info($taken['plans'] . ' plans are here now.');

        return $taken['said'] === [] ? self::SUCCESS : self::FAILURE;
    }
}
