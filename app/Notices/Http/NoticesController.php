<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Http\Controller;
use App\Notices\Pages\NoticesPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What a person is told; looking at it is having seen it. */
final class NoticesController extends Controller
{
    public function index(NoticesPage $page): View
    {
        $of = $page->of($this->user());
        $this->user()->notices()->whereNull('seen_at')->update(['seen_at' => now()]);

        return view('notices', $of);
    }

    public function update(NoticeWaysRequest $request): RedirectResponse
    {
        return $this->attempt(
            fn () => $this->user()->forceFill(['notice_ways' => $request->ways()])->save(),
            (string) __('told.ways.kept'),
            'notices',
        );
    }
}
