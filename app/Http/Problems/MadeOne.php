<?php

declare(strict_types=1);

namespace App\Http\Problems;

use App\Models\FormerRecord;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A record was asked for that was made one with another: whoever reads is led there, whoever writes is told. */
final class MadeOne extends \RuntimeException
{
    public function __construct(private readonly FormerRecord $former)
    {
        parent::__construct(
            "No. $former->number $former->name was made one with no. {$former->kept->number} {$former->kept->display_name}. What you typed stays on this page: open that record, and enter it there.",
        );
    }

    public function answer(Request $request): JsonResponse
    {
        $kept = $this->former->kept;
        $problem = [
            'type' => 'about:blank', 'title' => 'Made one with another record', 'detail' => $this->getMessage(),
            'movedTo' => $kept->id, 'movedToName' => $kept->display_name,
        ];
        if (! $request->isMethodSafe()) {
            return new JsonResponse($problem + ['status' => 410], 410, ['Content-Type' => 'application/problem+json']);
        }
        $path = preg_replace("#(/parties/){$this->former->party_id}(?=/|$)#", '${1}'.$kept->id, $request->getPathInfo(), 1);
        $query = $request->getQueryString();

        return new JsonResponse($problem + ['status' => 301], 301, [
            'Content-Type' => 'application/problem+json', 'Location' => $path.($query === null ? '' : "?$query"),
            'Cache-Control' => 'no-store',
        ]);
    }
}
