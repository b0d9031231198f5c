<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Calendar\Day;
use Almanac\Mailing\LetterWay;
use App\Facts\Mailing\WrittenLetter;
use App\Models\Office;
use ZipArchive;

/** Letters on the office's own paper: all in one file, or a file for each in an archive. */
final class LetterPaper
{
    /**
     * @param non-empty-list<WrittenLetter> $letters
     *
     * @return array{string, string} the file, and its ending
     */
    public function of(array $letters, LetterWay $way, Day $day): array
    {
        return $way === LetterWay::Papers ? [$this->each($letters, $day), 'zip'] : [$this->pdf($letters, $day), 'pdf'];
    }

    /** @param  non-empty-list<WrittenLetter>  $letters */
    public function pdf(array $letters, Day $day): string
    {
        $sheet = null;
        foreach ($letters as $letter) {
            if ($sheet === null) {
                $sheet = new PaperSheet(Office::current(), 'Letters');
            } else {
                $sheet->begin();
            }
            $sheet->address($letter->address);
            $sheet->text($day->toText());
            $sheet->space(6);
            if ($letter->subject !== '') {
                $sheet->text($letter->subject, isStrong: true);
                $sheet->space(4);
            }
            $sheet->text($letter->body);
        }

        return $sheet->content();
    }

    /** @param  non-empty-list<WrittenLetter>  $letters */
    private function each(array $letters, Day $day): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'letters');
        try {
            $zip = new ZipArchive;
            $zip->open($path, ZipArchive::OVERWRITE);
            foreach ($letters as $at => $letter) {
                $name = trim((string) preg_replace('/[^\p{L}\p{N}]+/u', '-', $letter->address[0] ?? ''), '-');
                $zip->addFromString(sprintf('%04d-%s.pdf', $at + 1, mb_strimwidth($name, 0, 60)), $this->pdf([$letter], $day));
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }
}
