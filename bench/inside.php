<?php

declare(strict_types=1);

use App\Models\User;
use App\Tenancy\ClubContext;
use Bench\Caller;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;

/*
 * One page in a process of its own, where nothing is loaded that it does not load itself: prints its queries and its peak memory in MB.
 * $1: the path. Called by bench/scale.php.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Caller.php';

/** @var Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$coach = User::query()->where('email', 'coach@heron-quay.example')->firstOrFail();
$app->make(ClubContext::class)->actFor($coach->club_id);
echo json_encode((new Caller('http://127.0.0.1'))->inside($app, $coach, $argv[1] ?? '/'), JSON_THROW_ON_ERROR);
