<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\OpenApi\Get;
use Illuminate\Http\JsonResponse;

class PulseController extends Controller
{
    #[Get('/pulse', 'The cheapest signed-in answer: is the sign-in still good?', answers: 'Pulse')]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['signedIn' => true]);
    }
}
