@extends('paper.layout')
@section('page')
<div class="to">@foreach ($address as $line){{ $line }}<br>@endforeach</div>
<h1>{{ $title }}</h1>
<p>{{ $statement->period }}, in {{ $statement->currency }}.</p>
<table class="lines">
<tr><th>Day</th><th>What</th><th class="number">Change</th><th class="number">Balance</th></tr>
<tr><td></td><td>Balance before</td><td></td><td class="number">{{ $statement->opening->text }}</td></tr>
@foreach ($statement->lines as $line)
<tr><td>{{ $line->dayText }}</td><td>{{ $line->what }}</td><td class="number">{{ $line->amount->text }}</td><td class="number">{{ $line->balance->text }}</td></tr>
@endforeach
<tr class="total"><td></td><td>Balance on {{ $statement->toText }}</td><td></td><td class="number">{{ $statement->closing->text }}</td></tr>
</table>
@if ($statement->open !== [])
<h1 style="font-size: 12pt; margin-top: 8mm">Open</h1>
<table class="lines"><tr><th>Document</th><th>Date</th><th>Due</th><th class="number">Late</th><th class="number">Open</th></tr>
@foreach ($statement->open as $row)
<tr><td>{{ $row->kindTitle }} {{ $row->number }}</td><td>{{ $row->dateText }}</td><td>{{ $row->dueText }}</td><td class="number">{{ $row->daysLate === 0 ? '' : $row->daysLate.' days' }}</td><td class="number">{{ $row->open->text }}</td></tr>
@endforeach
</table>
<table><tr>@foreach ($statement->ageing as $bucket)<th class="number">{{ $bucket->title }}</th>@endforeach</tr>
<tr>@foreach ($statement->ageing as $bucket)<td class="number">{{ $bucket->amount->text }}</td>@endforeach</tr></table>
@endif
@endsection
