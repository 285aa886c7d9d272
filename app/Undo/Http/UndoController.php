<?php

declare(strict_types=1);

namespace App\Undo\Http;

use App\Http\Controller;
use App\Models\Undo;
use App\Undo\Undos;
use Illuminate\Http\RedirectResponse;

/** Takes back what was done within the last minute. */
final class UndoController extends Controller
{
    public function __invoke(Undo $undo, Undos $undos): RedirectResponse
    {
        $undos->takeBack($undo, $this->user());

        return back()->with('done', (string) __('notices.undone'));
    }
}
