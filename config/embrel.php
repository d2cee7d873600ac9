<?php

declare(strict_types=1);

return [
    'sign_ins_a_minute' => (int) env('EMBREL_SIGN_INS_A_MINUTE', 10),
    'days_kept_after_deleting' => 30,
    'sample_email' => 'sample@embrel.example',
];
