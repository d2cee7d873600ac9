<?php

declare(strict_types=1);

return [
    'name' => 'Embrel',
    // The one address under which Embrel is reached: every link and redirect begins with it, requests for another are refused.
    'url' => env('APP_URL', 'http://localhost'),
    'timezone' => 'UTC',
    'locale' => 'en',
];
