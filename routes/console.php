<?php

declare(strict_types=1);

use App\Hosts\Alive;
use App\Store\Tasks;
use Illuminate\Support\Facades\Schedule;

// Where several hosts keep time, one of them does it.
Schedule::command('embrel:purge')->everyThirtyMinutes()->withoutOverlapping()->onOneServer();
Schedule::command('embrel:letters')->hourly()->withoutOverlapping()->onOneServer();
Schedule::call(static function (): void {
    Alive::says('schedule');
    Tasks::sweep();
})->name('tasks')->everyTenSeconds()->onOneServer();
