<?php

declare(strict_types=1);

// Argon2id reads a password to its end; what was kept in the older form is accepted, and kept anew at the next sign-in.
return [
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('EMBREL_HASH_MEMORY', 19_456), 'threads' => 1, 'time' => 2, 'verify' => false],
    'rehash_on_login' => true,
];
