<?php

declare(strict_types=1);

use App\Http\Controllers\AtHomeController;
use Illuminate\Support\Facades\Route;

/*
| A player's page at home: no session, no cookie; the secret of the player's link opens these two and nothing else.
*/

Route::get('at-home', [AtHomeController::class, 'show']);
Route::post('at-home/practice', [AtHomeController::class, 'take']);
