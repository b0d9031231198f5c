<?php

declare(strict_types=1);

namespace App\Support;

use Almanac\Addresses\Formatter;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\Recipient;
use App\Models\Office;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Http\Response;

/** Puts a page of the office's onto paper, as PDF. */
final class Paper
{
    /**
     * @param view-string $view
     * @param array<string, mixed> $facts
     */
    public static function pdf(string $view, string $title, array $facts): string
    {
        $office = Office::current();
        $lines = $office->locality === '' ? [] : array_slice(Formatter::onEnvelope(
            PostalAddress::of($office->country, $office->lines, $office->locality, $office->region, $office->postcode),
            Recipient::organisation($office->name),
            $office->country,
        ), 1);
        // Nothing is fetched, and nothing of the page can run.
        $pdf = new Dompdf(new Options(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'tempDir' => storage_path('framework/cache'), 'fontDir' => storage_path('framework/cache'), 'fontCache' => storage_path('framework/cache')]));
        $pdf->loadHtml(view($view, ['title' => $title, 'office' => $office, 'officeLines' => $lines] + $facts)->render());
        $pdf->setPaper($office->country === 'US' || $office->country === 'CA' ? 'letter' : 'A4');
        $pdf->render();

        return (string) $pdf->output();
    }

    public static function answer(string $content, string $name, string $type): Response
    {
        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^\w.\-]+/', '-', $name).'"',
        ]);
    }
}
