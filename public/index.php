<?php

declare(strict_types=1);

use App\Http\BodySize;
use App\Http\Middleware\WellFormed;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\ServerBag;

define('LARAVEL_START', microtime(true));
require __DIR__ . '/../vendor/autoload.php';

if (BodySize::isTooLarge(new ServerBag($_SERVER))) {
    // It is refused further on; to find that out nothing of it is read as JSON.
    $_SERVER[WellFormed::TOO_LARGE] = '1';
    $_SERVER['CONTENT_TYPE'] = 'application/octet-stream';
}

(require __DIR__ . '/../bootstrap/app.php')->handleRequest(Request::capture());
