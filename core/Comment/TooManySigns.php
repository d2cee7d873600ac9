<?php

declare(strict_types=1);

namespace Embrel\Comment;

/** Someone gave more signs than they have; the message says so. */
final class TooManySigns extends \DomainException {}
