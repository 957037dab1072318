<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\TakeMarks;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;

class MarkBatchController extends Controller
{
    /** A batch of numbers from a device: a result for each, in the order sent. */
    public function store(Request $request, TakeMarks $action): JsonResponse
    {
        $most = Config::integer('training.marks_per_batch');
        $request->validate(
            ['marks' => ['required', 'array', "max:{$most}"], 'marks.*' => ['array']],
            ['marks.max' => "Send at most {$most} marks at once.", 'marks.required' => 'There are no marks in this batch.'],
        );
        /** @var list<array<string, mixed>> $marks */
        $marks = array_values((array) $request->input('marks'));
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse(['results' => $action->take($marks, $user)]);
    }
}
