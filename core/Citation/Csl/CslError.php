<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A style that cannot be carried out; the message says why, as a whole sentence. */
final class CslError extends \RuntimeException {}
