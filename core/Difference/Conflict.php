<?php

declare(strict_types=1);

namespace Embrel\Difference;

/** A change cannot be had any more: what others have done since stands against it. */
final class Conflict extends \DomainException {}
