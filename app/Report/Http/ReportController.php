<?php

declare(strict_types=1);

namespace App\Report\Http;

use App\Http\Controller;
use App\Http\Pdf;
use App\Models\Sitting;
use App\Report\Actions\WriteReport;
use App\Report\Pages\BoardPage;
use App\Report\Pages\ReportPage;
use App\Report\Pages\ReportsPage;
use App\Sight\Onlookers;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** What of a round leaves the academy: its report and the board's page, on a page and as PDF. */
final class ReportController extends Controller
{
    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    public function index(ReportsPage $page): View
    {
        return view('report.index', $page->of($this->user()));
    }

    public function show(Sitting $round, ReportPage $page): View
    {
        return $this->waits($round) ? $this->waiting($round) : view('report.show', $page->of($round));
    }

    public function pdf(Sitting $round, ReportPage $page): Response|RedirectResponse
    {
        return $this->waits($round) ? redirect()->route('reports.show', $round)
            : Pdf::of('report.paper', $page->printed($round), "report-$round->name");
    }

    public function board(Sitting $round, BoardPage $page): View
    {
        return $this->waits($round) ? $this->waiting($round) : view('report.board', $page->of($round));
    }

    public function boardPdf(Sitting $round, BoardPage $page): Response|RedirectResponse
    {
        return $this->waits($round) ? redirect()->route('reports.board', $round)
            : Pdf::of('report.board-paper', $page->of($round), "board-$round->name");
    }

    public function write(ReportRequest $request, Sitting $round, WriteReport $write): RedirectResponse
    {
        $to = $this->backTo(route('reports.show', $round));
        $write($round, $request->words(), $request->revision(), $this->user());

        return redirect()->to($to)->with('done', __('notices.report.written'));
    }

    /** Whether somebody who would see it is still to read a swing of it blind. */
    private function waits(Sitting $round): bool
    {
        return $this->onlookers->of($this->user())->withheld($round) !== null;
    }

    private function waiting(Sitting $round): View
    {
        return view('empty', ['title' => $round->name, 'text' => __('agreement.waits')]);
    }
}
