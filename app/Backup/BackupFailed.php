<?php

declare(strict_types=1);

namespace App\Backup;

/** Why a backup was not made, cannot be restored, or is not what it was made of; for the operator. */
final class BackupFailed extends \RuntimeException {}
