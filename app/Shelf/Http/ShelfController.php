<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Http\Controller;
use App\Shelf\Pages\ShelfPage;
use Illuminate\Contracts\View\View;

final class ShelfController extends Controller
{
    public function index(ShelfRequest $request, ShelfPage $page): View
    {
        return view('shelf.list', $page->of($request->filter(), $this->user()));
    }
}
