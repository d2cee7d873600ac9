<?php

declare(strict_types=1);

namespace App\Store;

/** More of it than one person may have at once. */
final class TooMuch extends \RuntimeException {}
