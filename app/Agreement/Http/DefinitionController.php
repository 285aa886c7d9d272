<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Pages\DefinitionPage;
use App\Http\Controller;
use Illuminate\Contracts\View\View;

/** One fault of the codebook, and whether its definition holds. */
final class DefinitionController extends Controller
{
    public function show(string $fault, DefinitionPage $page): View
    {
        return view('codebook.fault', $page->of($fault, $this->user()));
    }
}
