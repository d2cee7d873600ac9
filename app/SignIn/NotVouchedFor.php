<?php

declare(strict_types=1);

namespace App\SignIn;

/** The organisation does not say who somebody is, or says it in a way that cannot be believed; the message is for the person. */
final class NotVouchedFor extends \RuntimeException {}
