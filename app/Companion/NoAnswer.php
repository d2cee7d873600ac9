<?php

declare(strict_types=1);

namespace App\Companion;

/** The helper gave no answer that can be used; the message is for the person. */
final class NoAnswer extends \RuntimeException {}
