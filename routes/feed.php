<?php

declare(strict_types=1);

use App\Http\Controllers\FeedController;
use Illuminate\Support\Facades\Route;

/*
| Called by devices that count touches: no session, no cookie, a token that can do only this.
*/

Route::post('feed', [FeedController::class, 'take']);
