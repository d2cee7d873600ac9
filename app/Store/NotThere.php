<?php

declare(strict_types=1);

namespace App\Store;

/** What is asked for is not there: no such point of the past, no such topic. */
final class NotThere extends \RuntimeException {}
