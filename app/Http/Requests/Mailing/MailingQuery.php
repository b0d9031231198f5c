<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use Almanac\Mailing\LabelSheet;
use Almanac\Mailing\MailingRefused;
use App\Facts\Lists\Chosen;
use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\ValidationException;

/** Who is written to, and on what sheet. */
final class MailingQuery extends ShapedRequest
{
    use NarrowsList;

    private const OWN = 10;

    private const COPIES = 50;

    public static function shape(): Shape
    {
        return Shape::named('MailingQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'sort' => self::sorting(),
            'ids' => Input::text(20_000)->optional()->also('regex:/^\d{1,12}(,\d{1,12})*$/')->says(
                'Only these records, with commas between their numbers.',
            ),
            'sheet' => Input::text(20)->optional()->says('The key of a sheet; 30 to a Letter sheet, or 21 to A4, where nothing is said.'),
            'own' => Input::text(120)->optional()->also('regex:/^\d{1,4}(\.\d{1,2})?(,\d{1,4}(\.\d{1,2})?){'.(self::OWN - 1).'}$/')
                ->says(
                    'Of a sheet of one’s own, in millimetres with commas between: page width and height, labels across and down, left and top of the first, width and height of a label, gap across and down.',
                ),
            'start' => Input::number()->optional()->says('The label of the first sheet at which it begins.'),
            'copies' => Input::number()->optional()->says('Of each.'),
            'household' => Input::text(5)->optional()->also('in:true,false,0,1')->says('One for all who live at one address.'),
        ]);
    }

    public function chosen(): ?Chosen
    {
        $ids = $this->string('ids')->value();

        return $ids === '' ? null : new Chosen(false, '', true, array_map(intval(...), explode(',', $ids)));
    }

    public function copies(): int
    {
        return max(1, min(self::COPIES, $this->integer('copies', 1)));
    }

    /** @throws ValidationException when there is no such sheet, or the labels do not fit on it */
    public function sheet(string $usual): LabelSheet
    {
        $own = $this->string('own')->value();
        try {
            if ($own === '') {
                return LabelSheet::named($this->string('sheet')->value() === '' ? $usual : $this->string('sheet')->value());
            }
            [$pageWidth, $pageHeight, $across, $down, $left, $top, $width, $height, $gapAcross, $gapDown] = array_map(floatval(...), explode(',', $own));

            return LabelSheet::own($pageWidth, $pageHeight, (int) $across, (int) $down, $left, $top, $width, $height, $gapAcross, $gapDown);
        } catch (MailingRefused $refused) {
            throw ValidationException::withMessages([$own === '' ? 'sheet' : 'own' => $refused->getMessage()]);
        }
    }

    /** @throws ValidationException when the sheet has no such label */
    public function start(LabelSheet $sheet): int
    {
        try {
            return $sheet->startAt($this->integer('start', 1));
        } catch (MailingRefused $refused) {
            throw ValidationException::withMessages(['start' => $refused->getMessage()]);
        }
    }
}
