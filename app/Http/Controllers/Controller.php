<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\ClubDay;
use Illuminate\Http\Request;

abstract class Controller
{
    protected function day(Request $request): ClubDay
    {
        return ClubDay::ofUser($request->user());
    }
}
