<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Rules\Address;
use Illuminate\Console\Command;

/** Makes a person an administrator, or takes that away. */
final class AdministratorCommand extends Command
{
    protected $signature = 'embrel:administrator {email : of the account} {--off : Take it away}';
    protected $description = 'Make a person an administrator: people, room and running work, never what is in plans';

    public function handle(): int
    {
        $email = $this->argument('email');
        $person = User::query()->where('email', Address::spelt(\is_string($email) ? $email : ''))->first();
        if ($person === null) {
            $this->error('There is no account of this address.');

            return self::FAILURE;
        }
        $isOn = $this->option('off') !== true;
        $person->forceFill(['is_administrator' => $isOn])->save();
        $this->info($isOn ? "{$person->name} is an administrator now." : "{$person->name} is no administrator any more.");

        return self::SUCCESS;
    }
}
