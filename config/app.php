<?php

declare(strict_types=1);

return [
    'name' => 'Embrel',
    // The one address under which Embrel is reached: every link and redirect begins with it, requests for another are refused.
    'url' => env('APP_URL', 'http://localhost'),
    'key' => App\Hosts\Secret::of('APP_KEY'),
    // Keys of before, with commas between them: what was sealed with them still opens.
    'previous_keys' => array_values(array_filter(explode(',', App\Hosts\Secret::of('APP_PREVIOUS_KEYS')))),
    'timezone' => 'UTC',
    'locale' => 'en',
];
