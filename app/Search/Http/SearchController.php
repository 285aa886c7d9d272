<?php

declare(strict_types=1);

namespace App\Search\Http;

use App\Http\Controller;
use App\Search\Pages\SearchPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;

final class SearchController extends Controller
{
    /** As a page, and as JSON for the field at the head of every page. */
    public function __invoke(SearchRequest $request, SearchPage $page): JsonResponse|View
    {
        $found = $page->of($request->asked(), $this->user());

        return $request->expectsJson() ? response()->json($found) : view('search.show', $found);
    }
}
