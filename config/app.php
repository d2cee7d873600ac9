<?php

declare(strict_types=1);

return [
    'name' => 'Embrel',
    'timezone' => 'UTC',
    'locale' => 'en',
];
