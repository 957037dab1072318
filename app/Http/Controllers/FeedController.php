<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\TakeFeed;
use App\Exchange\Import\DeviceInstant;
use App\Models\TouchFeed;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use App\Rules\Instant;
use App\Tenancy\ClubContext;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A device that counts touches in place of a person: leave to send, what it sends, and what that comes to. */
#[Shape('FeedLine', [
    'id' => 'string', 'playerId' => 'int', 'at' => 'instant', 'side?' => "'R'|'L'?",
    'surface?' => "'in'|'out'|'sole'|'lace'|'toe'|'heel'|'thigh'|'chest'|'shoulder'|'head'?",
])]
#[Shape('FeedRefusal', ['line' => 'int', 'message' => 'string'])]
#[Shape('FeedTaken', ['accepted' => 'int', 'duplicates' => 'int', 'refused' => 'FeedRefusal[]'])]
#[Shape('FeedLeave', ['token' => 'string', 'path' => 'string', 'expiresAt' => 'instant'])]
#[Shape('FeedCount', ['playerId' => 'int', 'left' => 'int', 'right' => 'int', 'unknown' => 'int', 'lastAt' => 'instant'])]
#[Shape('FeedCounts', ['players' => 'FeedCount[]'])]
class FeedController extends Controller
{
    #[Post(
        '/sessions/{session}/feed',
        'Leave for a device to send touches of this session for twelve hours; the token is told once.',
        answers: 'FeedLeave',
    )]
    public function store(Request $request, TrainingSession $session): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $token = Str::random(40);
        $feed = TouchFeed::query()->create([
            'training_session_id' => $session->id,
            'token_hash' => hash('sha256', $token),
            'expires_at_utc' => now('UTC')->addHours(TouchFeed::HOURS),
            'opened_by' => $this->user($request)->id,
        ]);

        return new JsonResponse([
            'token' => $token,
            'path' => '/api/v1/feed',
            'expiresAt' => $feed->expires_at_utc->format('Y-m-d\TH:i:s\Z'),
        ]);
    }

    #[Get(
        '/sessions/{session}/feed',
        'What devices counted from one instant up to another, by player: ?from=…&to=…, or of all of it.',
        answers: 'FeedCounts',
    )]
    public function show(Request $request, TrainingSession $session): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate([
            'from' => ['bail', 'nullable', 'string', new Instant],
            'to' => ['bail', 'nullable', 'string', new Instant],
        ]);
        $at = static fn (string $name): string => (string) DeviceInstant::tryFrom($request->string($name)->toString())
            ?->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.v');
        $rows = DB::table('touch_feed_lines')->where('training_session_id', $session->id)
            ->when($request->filled('from'), fn ($query) => $query->where('touched_at_utc', '>=', $at('from')))
            ->when($request->filled('to'), fn ($query) => $query->where('touched_at_utc', '<', $at('to')))
            ->groupBy('player_id')
            ->selectRaw("player_id, sum(side <=> 'L') as at_left, sum(side <=> 'R') as at_right, sum(side is null) as unknown")
            ->selectRaw('max(touched_at_utc) as last_at')
            ->get();

        return new JsonResponse(['players' => $rows->map(static fn (object $row): array => [
            'playerId' => (int) $row->player_id,
            'left' => (int) $row->at_left,
            'right' => (int) $row->at_right,
            'unknown' => (int) $row->unknown,
            'lastAt' => str_replace(' ', 'T', (string) $row->last_at).'Z',
        ])->values()->all()]);
    }

    #[Post(
        '/feed',
        'Touches, one object a line (fleet-sparrow/touch-feed), with "Authorization: Bearer" and the token of a session.',
        answers: 'FeedTaken',
        takes: 'FeedLine',
    )]
    public function take(Request $request, TakeFeed $action, ClubContext $context): JsonResponse
    {
        $feed = TouchFeed::ofToken((string) $request->bearerToken()) ?? throw new HttpException(401, 'unknown-token');
        if (substr_count($request->getContent(), "\n") > TakeFeed::MOST_LINES) {
            throw new HttpException(413);
        }
        $context->actFor($feed->club_id);

        return new JsonResponse($action->take($feed, $request->getContent()));
    }
}
