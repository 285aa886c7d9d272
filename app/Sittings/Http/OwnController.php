<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Http\Controller;
use App\Models\Recording;
use App\Sittings\Actions\BeginReview;
use App\Sittings\Pages\OwnData;
use App\Sittings\Pages\OwnSwings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** One's own swings, looked at alone. */
final class OwnController extends Controller
{
    public function index(OwnSwings $page): View
    {
        return view('sittings.own', $page->of($this->user()));
    }

    /** What is held of oneself, to be taken away. */
    public function data(OwnData $data): JsonResponse
    {
        return response()->json(
            $data->of($this->user()),
            200,
            ['Content-Disposition' => 'attachment; filename="my-data.json"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }

    public function begin(Recording $recording, BeginReview $begin): RedirectResponse
    {
        return redirect()->route('read', $begin($recording, $this->user()));
    }
}
