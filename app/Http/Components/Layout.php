<?php

declare(strict_types=1);

namespace App\Http\Components;

use App\Http\Navigation;
use App\Http\Release;
use App\Models\Casts\Cell;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\View\Component;

/** The frame of every page: who is here, where they can go, what is loaded. */
final class Layout extends Component
{
    /** Styles by part, in the order in which a later one has the last word. */
    private const STYLES = [
        'base',
        'head',
        'calls',
        'ribbon',
        'stage',
        'reading',
        'walk',
        'measurements',
        'agreement',
        'bench',
        'shelf',
        'import',
        'capture',
        'codebook',
        'debrief',
        'report',
        'person',
        'academy',
        'flight',
        'pages',
        'narrow',
        'print',
    ];

    public function __construct(public string $title, public bool $wide = false)
    {
    }

    public function render(): View
    {
        $user = self::user();
        $places = $user === null ? [] : (new Navigation($user))->places();
        $within = array_values(array_filter(
            $places,
            static fn (array $place): bool => $place['here'] && $place['pages'] !== [],
        ));

        return view('components.layout', [
            'name' => $user?->name,
            'news' => self::news($user),
            'places' => $places,
            'within' => $within[0] ?? null,
            'styles' => self::STYLES,
            'release' => Release::current(),
        ]);
    }

    /** Nobody, where the page tells that something is wrong with the database itself. */
    private static function user(): ?User
    {
        try {
            $user = Auth::user();
        } catch (\Throwable) {
            return null;
        }

        return $user instanceof User ? $user : null;
    }

    /** What was not seen yet; none to tell of where the database itself is ill. */
    private static function news(?User $user): int
    {
        try {
            return $user === null ? 0 : Cell::int(DB::scalar(
                'select count(*) from notices where user_id = ? and seen_at is null',
                [$user->id],
            ));
        } catch (\Throwable) {
            return 0;
        }
    }
}
