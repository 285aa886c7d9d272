<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Pages\LetterPage;
use App\Http\Controller;
use App\Http\Pdf;
use App\Models\Sitting;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What a round says to one instructor, as a letter. */
final class LetterController extends Controller
{
    public function show(Sitting $round, User $member, LetterPage $page): View
    {
        return view('letter.show', $page->of($round, $member, $this->user()));
    }

    public function pdf(Sitting $round, User $member, LetterPage $page): Response
    {
        return Pdf::of(
            'letter.paper',
            $page->of($round, $member, $this->user()),
            "letter-$round->name-$member->name",
        );
    }
}
