<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\TakeMarks;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;

#[Shape('Mark', [
    'uuid' => 'string', 'playerId' => 'int', 'sessionId' => 'int', 'lineKey' => 'string', 'tryNumber' => 'int', 'value' => 'number',
    'isVoid?' => 'bool', 'isDisputed?' => 'bool', 'reason?' => 'string', 'parts?' => 'MarkParts?',
    'countedBy?' => "'coach'|'partner'|'self'", 'recordedAt' => 'instant', 'supersedesUuids?' => 'string[]',
])]
#[Shape('MarkParts', ['kind' => "'halves'|'feet'|'total'|'good-and-tried'", 'numbers' => 'int[]'])]
#[Shape('MarkBatch', ['marks' => 'Mark[]'])]
#[
    Shape(
        'MarkResult',
        [
            'index' => 'int',
            'uuid' => 'string?',
            'status' => "'accepted'|'duplicate'|'refused'",
            'code?' => 'string',
            'message?' => 'string',
        ],
    ),
]
#[Shape('MarkResults', ['results' => 'MarkResult[]'])]
class MarkBatchController extends Controller
{
    #[Post('/marks', 'A batch of numbers from a device: a result for each, in the order sent.', answers: 'MarkResults', takes: 'MarkBatch')]
    public function store(Request $request, TakeMarks $action): JsonResponse
    {
        $most = Config::integer('training.marks_per_batch');
        $request->validate(
            ['marks' => ['required', 'array', "max:{$most}"]],
            ['marks.max' => "Send at most {$most} marks at once.", 'marks.required' => 'There are no marks in this batch.'],
        );
        $marks = array_values((array) $request->input('marks'));

        return new JsonResponse(['results' => $action->take($marks, $this->user($request))]);
    }
}
