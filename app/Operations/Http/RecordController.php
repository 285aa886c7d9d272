<?php

declare(strict_types=1);

namespace App\Operations\Http;

use App\Http\Controller;
use App\Models\AuditEntry;
use App\Models\Recording;
use App\Sight\Onlookers;
use Illuminate\Contracts\View\View;

final class RecordController extends Controller
{
    public function __invoke(Onlookers $onlookers): View
    {
        // What was ruled or marked on a swing that its reader is still to read blind waits as well.
        $hidden = Recording::query()->whereKey($onlookers->of($this->user())->hidden())->pluck('public_id')->all();

        return view('operations.record', [
            'entries' => AuditEntry::query()
                ->with('user')
                ->when(
                    $hidden !== [],
                    static fn ($q) => $q
                        ->where(
                            static fn ($q) => $q
                                ->whereNull('details->recording')
                                ->orWhereNotIn('details->recording', $hidden),
                        )
                        ->where(
                            static fn ($q) => collect($hidden)->each(
                                static fn (string $id) => $q->where('subject', 'not like', "%$id%"),
                            ),
                        ),
                )
                ->orderByDesc('created_at')
                ->orderByDesc('id')
                ->paginate(60),
        ]);
    }
}
