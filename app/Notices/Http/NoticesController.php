<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Http\Controller;
use App\Notices\Pages\NoticesPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What a person is told, and that they have seen it. */
final class NoticesController extends Controller
{
    public function index(NoticesPage $page): View
    {
        return view('notices', $page->of($this->user()));
    }

    public function seen(SeenRequest $request): RedirectResponse
    {
        return $this->attempt(
            fn () => $this->user()->notices()
                ->whereNull('seen_at')
                ->where('id', '<=', $request->integer('upto'))
                ->update(['seen_at' => now()]),
            (string) __('told.seen-now'),
            'notices',
        );
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
