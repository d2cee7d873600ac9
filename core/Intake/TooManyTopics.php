<?php

declare(strict_types=1);

namespace Embrel\Intake;

/** A document that would make a plan larger or deeper than one can be. */
final class TooManyTopics extends \RuntimeException {}
