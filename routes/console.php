<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('embrel:purge')->everyThirtyMinutes()->withoutOverlapping();
Schedule::command('embrel:letters')->hourly()->withoutOverlapping();
