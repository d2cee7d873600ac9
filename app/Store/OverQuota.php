<?php

declare(strict_types=1);

namespace App\Store;

/** More than an account may keep; the message is for the person. */
final class OverQuota extends \DomainException {}
