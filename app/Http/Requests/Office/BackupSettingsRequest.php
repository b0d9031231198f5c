<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** How backups are kept. */
final class BackupSettingsRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('BackupSettingsInput', [
            'isNightly' => Input::flag()->says('Whether a backup is made every night after 2:00 AM by the clock of the office.'),
            'kept' => Input::whole(1, 365)->says('Nightly backups that are kept; older ones are deleted.'),
            'folder' => Input::text(500)->says('Absolute path of the folder on the server where backups are written; empty for the folder beside the database.'),
        ]);
    }
}
