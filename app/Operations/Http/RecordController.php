<?php

declare(strict_types=1);

namespace App\Operations\Http;

use App\Http\Controller;
use App\Operations\Pages\RecordPage;
use Core\Format\CsvWriter;
use Illuminate\Contracts\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class RecordController extends Controller
{
    public function show(RecordRequest $request, RecordPage $page): View
    {
        return view('operations.record', $page->of($request->filter(), $this->user()));
    }

    /** The same entries as they are kept, as a file. */
    public function export(RecordRequest $request, RecordPage $page): StreamedResponse
    {
        $entries = $page->whole($request->filter(), $this->user());

        return response()->streamDownload(static function () use ($entries): void {
            echo CsvWriter::row(['time_utc', 'person', 'action', 'subject', 'details']);
            foreach ($entries as $e) {
                echo CsvWriter::row([
                    $e->created_at->utc()->format('Y-m-d\TH:i:s\Z'),
                    $e->user?->name,
                    $e->action,
                    $e->subject,
                    $e->details === [] ? '' : json_encode($e->details, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                ]);
            }
        }, 'record.csv', ['Content-Type' => 'text/csv; charset=utf-8']);
    }
}
