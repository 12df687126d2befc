// SPDX-License-Identifier: GPL-3.0-or-later
/// What nearly every file of the window reads; compiled once (docs/decisions/0007 has the measurements).
#pragma once
#include "cmake/precompiled/quilt.hpp"

#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QPushButton>
#include <QString>
#include <QTimer>
#include <QVBoxLayout>
